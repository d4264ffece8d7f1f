using System.Net.Sockets;
using System.Runtime.CompilerServices;
using System.Text;
using System.Text.RegularExpressions;
using Foundling.Core;
using Foundling.Core.Units;

namespace Foundling.Data.Devices;

/// <summary>A device that says what it measures, a line at a time.</summary>
public interface ILineSource
{
    /// <summary>Its lines, without their ends, for as long as it speaks.</summary>
    /// <param name="cancel">Stops listening.</param>
    IAsyncEnumerable<string> Lines(CancellationToken cancel = default);
}

/// <summary>Where devices of the shop are heard: <c>simulated</c>, <c>tcp://host:port</c> or a device path such as <c>/dev/ttyUSB0</c>.</summary>
public static partial class LineSources
{
    /// <summary>What stands for the stand-in that ships.</summary>
    public const string Simulated = "simulated";

    private const int MostLetters = 120;

    /// <summary>An address that can be opened, written one way; empty for none.</summary>
    /// <exception cref="InputException">No address of a device.</exception>
    public static string Checked(string? address)
    {
        string clean = Shorten.To(address, MostLetters);
        return clean.Length == 0 || clean == Simulated || DevicePath().IsMatch(clean) ? clean
            : Tcp().Match(clean) is { Success: true } tcp && int.Parse(tcp.Groups["port"].ValueSpan, System.Globalization.CultureInfo.InvariantCulture)
                is > 0 and <= 65535 ? $"tcp://{tcp.Groups["host"].Value}:{tcp.Groups["port"].Value}"
            : throw new InputException("no_device", "device", clean, "tcp://host:port, or a path under /dev",
                $"\"{Shorten.To(clean, 40)}\" is no device. Write tcp://host:port, or its path such as /dev/ttyUSB0.");
    }

    /// <summary>Opens what stands at an address; a thermometer that ships stands in for a real one.</summary>
    /// <param name="address">An address as <see cref="Checked"/> gives it.</param>
    /// <param name="standIn">What stands in for a real device.</param>
    /// <exception cref="InputException">No address of a device.</exception>
    public static ILineSource Open(string address, Func<ILineSource> standIn)
    {
        string clean = Checked(address);
        return clean == Simulated ? standIn()
            : Tcp().Match(clean) is { Success: true } tcp ? new TcpLines(tcp.Groups["host"].Value,
                int.Parse(tcp.Groups["port"].ValueSpan, System.Globalization.CultureInfo.InvariantCulture))
            : new DeviceLines(clean);
    }

    [GeneratedRegex(@"^(?:tcp://)?(?<host>[A-Za-z0-9.-]{1,80}):(?<port>\d{1,5})$")]
    private static partial Regex Tcp();

    // A name of its own under /dev: no way up, and no way to any other file.
    [GeneratedRegex(@"^/dev/[A-Za-z][A-Za-z0-9_-]{0,40}$|^COM\d{1,3}$")]
    private static partial Regex DevicePath();
}

/// <summary>A device behind a TCP port.</summary>
public sealed class TcpLines(string host, int port) : ILineSource
{
    /// <inheritdoc />
    public async IAsyncEnumerable<string> Lines([EnumeratorCancellation] CancellationToken cancel = default)
    {
        using var client = new TcpClient();
        await client.ConnectAsync(host, port, cancel).ConfigureAwait(false);
        NetworkStream stream = client.GetStream();
        await using (stream.ConfigureAwait(false))
        {
            await foreach (string line in LineReading.Of(stream, cancel).ConfigureAwait(false))
            {
                yield return line;
            }
        }
    }
}

/// <summary>A device behind a path, set up by the system it hangs on.</summary>
public sealed class DeviceLines(string path) : ILineSource
{
    /// <inheritdoc />
    public async IAsyncEnumerable<string> Lines([EnumeratorCancellation] CancellationToken cancel = default)
    {
        var stream = new FileStream(path, FileMode.Open, FileAccess.Read, FileShare.ReadWrite, 1, useAsync: true);
        await using (stream.ConfigureAwait(false))
        {
            await foreach (string line in LineReading.Of(stream, cancel).ConfigureAwait(false))
            {
                yield return line;
            }
        }
    }
}

/// <summary>Cuts what a device sends into lines. A line that never ends is let go, not gathered.</summary>
internal static class LineReading
{
    private const int LongestLine = 200;

    public static async IAsyncEnumerable<string> Of(Stream stream, [EnumeratorCancellation] CancellationToken cancel)
    {
        byte[] bytes = new byte[512];
        var line = new StringBuilder();
        bool tooLong = false;
        int read;
        while ((read = await stream.ReadAsync(bytes, cancel).ConfigureAwait(false)) > 0)
        {
            for (int i = 0; i < read; i++)
            {
                char c = (char)bytes[i];
                if (c is not ('\n' or '\r'))
                {
                    tooLong |= line.Length >= LongestLine;
                    line.Append(tooLong ? "" : c.ToString());
                    continue;
                }
                if (line.Length > 0 && !tooLong)
                {
                    yield return line.ToString();
                }
                line.Clear();
                tooLong = false;
            }
        }
    }
}
