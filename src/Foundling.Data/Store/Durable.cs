using System.Runtime.InteropServices;
using Microsoft.Win32.SafeHandles;

namespace Foundling.Data.Store;

/// <summary>Files that survive a power cut once they are named in the database.</summary>
public static partial class Durable
{
    /// <summary>Writes a file aside, flushes it, moves it into place and flushes the folder.</summary>
    public static async Task Write(string path, ReadOnlyMemory<byte> bytes, CancellationToken cancel = default)
    {
        string part = $"{path}.{Guid.NewGuid():N}.part";
        try
        {
            var file = new FileStream(part, FileMode.CreateNew, FileAccess.Write, FileShare.None);
            await using (file.ConfigureAwait(false))
            {
                await file.WriteAsync(bytes, cancel).ConfigureAwait(false);
                file.Flush(flushToDisk: true);
            }
            File.Move(part, path, overwrite: true);
        }
        catch
        {
            File.Delete(part);
            throw;
        }
        FlushFolder(Path.GetDirectoryName(path)!);
    }

    /// <summary>Flushes a file to the disk.</summary>
    public static void Flush(string path)
    {
        using SafeFileHandle handle = File.OpenHandle(path, FileMode.Open, FileAccess.ReadWrite);
        RandomAccess.FlushToDisk(handle);
    }

    /// <summary>Flushes a folder, so that a file moved into it is there after a power cut. Only needed, and only possible, on Unix.</summary>
    public static void FlushFolder(string path)
    {
        if (OperatingSystem.IsWindows())
        {
            return;
        }
        int handle = Open(path, 0);
        if (handle >= 0)
        {
            _ = FSync(handle);
            _ = Close(handle);
        }
    }

    [LibraryImport("libc", EntryPoint = "open", StringMarshalling = StringMarshalling.Utf8)]
    private static partial int Open(string path, int flags);

    [LibraryImport("libc", EntryPoint = "fsync")]
    private static partial int FSync(int handle);

    [LibraryImport("libc", EntryPoint = "close")]
    private static partial int Close(int handle);
}
