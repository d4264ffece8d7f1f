using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using Foundling.Data.Store;
using Foundling.Web.Services;

namespace Foundling.Web.Door;

/// <summary>
/// Who is signed in. A ticket dies with signing out, with signing out everywhere, and when the passphrase changes. Kept in a
/// file, so that a restart signs nobody out.
/// </summary>
public sealed class Tickets
{
    /// <summary>Claim that carries a ticket's key.</summary>
    public const string Claim = "ticket";

    private const int Rounds = 200_000, MostTickets = 500;

    private readonly string _file;
    private readonly TimeProvider _time;
    private readonly Lock _gate = new();
    private Kept _kept;

    private sealed record Kept(byte[] Salt, byte[] Mark, Dictionary<string, DateTimeOffset> Live);

    /// <summary>Reads the tickets that still hold for this passphrase.</summary>
    public Tickets(DataFolder folder, ShopOptions options, TimeProvider time)
    {
        _file = Path.Combine(folder.Keys, "tickets.json");
        _time = time;
        string passphrase = options.Passphrase ?? "";
        Kept? before = Read();
        if (before is not null && CryptographicOperations.FixedTimeEquals(before.Mark, MarkOf(passphrase, before.Salt)))
        {
            _kept = before;
            return;
        }
        byte[] salt = RandomNumberGenerator.GetBytes(16);
        _kept = new Kept(salt, MarkOf(passphrase, salt), []);
    }

    /// <summary>How long a ticket holds.</summary>
    public static TimeSpan Holds { get; } = TimeSpan.FromDays(30);

    /// <summary>A new ticket.</summary>
    public async Task<string> Issue()
    {
        string key = Convert.ToHexStringLower(RandomNumberGenerator.GetBytes(16));
        DateTimeOffset now = _time.GetUtcNow();
        await Change(live => [.. live.Where(t => now - t.Value < Holds).OrderByDescending(t => t.Value).Take(MostTickets - 1), new(key, now)]);
        return key;
    }

    /// <summary>True for a ticket that holds.</summary>
    public bool Holding(string? key)
    {
        lock (_gate)
        {
            return key is not null && _kept.Live.TryGetValue(key, out DateTimeOffset at) && _time.GetUtcNow() - at < Holds;
        }
    }

    /// <summary>Ends one ticket.</summary>
    public Task End(string? key) => Change(live => live.Where(t => t.Key != key));

    /// <summary>Ends all tickets.</summary>
    public Task EndAll() => Change(_ => []);

    private async Task Change(Func<Dictionary<string, DateTimeOffset>, IEnumerable<KeyValuePair<string, DateTimeOffset>>> change)
    {
        byte[] bytes;
        lock (_gate)
        {
            _kept = _kept with { Live = change(_kept.Live).ToDictionary() };
            bytes = JsonSerializer.SerializeToUtf8Bytes(_kept);
        }
        await Durable.Write(_file, bytes);
    }

    private Kept? Read()
    {
        try
        {
            return File.Exists(_file) ? JsonSerializer.Deserialize<Kept>(File.ReadAllBytes(_file)) : null;
        }
        catch (JsonException)
        {
            // A broken file signs everybody out; that is safe.
            return null;
        }
    }

    private static byte[] MarkOf(string passphrase, byte[] salt) => Rfc2898DeriveBytes.Pbkdf2(Encoding.UTF8.GetBytes(passphrase), salt, Rounds,
        HashAlgorithmName.SHA256, 32);
}

/// <summary>Slows down who tries passphrases: wrong ones are counted for each address, and the wait after them grows.</summary>
public sealed class WrongPassphrases(TimeProvider time)
{
    private const int Free = 5, MostAddresses = 10_000;
    private static readonly TimeSpan Longest = TimeSpan.FromMinutes(1), Forget = TimeSpan.FromHours(1);

    private readonly Dictionary<string, (int Wrong, DateTimeOffset Last)> _tries = [];

    /// <summary>How long an address has to wait before its next try; zero when it need not.</summary>
    public TimeSpan Wait(string address)
    {
        lock (_tries)
        {
            if (!_tries.TryGetValue(address, out (int Wrong, DateTimeOffset Last) tries) || tries.Wrong < Free)
            {
                return TimeSpan.Zero;
            }
            TimeSpan after = TimeSpan.FromSeconds(Math.Min(Longest.TotalSeconds, Math.Pow(2, tries.Wrong - Free + 1)));
            TimeSpan left = tries.Last + after - time.GetUtcNow();
            return left > TimeSpan.Zero ? left : TimeSpan.Zero;
        }
    }

    /// <summary>Counts a wrong passphrase.</summary>
    public void Wrong(string address)
    {
        lock (_tries)
        {
            DateTimeOffset now = time.GetUtcNow();
            if (_tries.Count >= MostAddresses)
            {
                foreach (string old in _tries.Where(t => now - t.Value.Last > Forget).Select(t => t.Key).ToList())
                {
                    _tries.Remove(old);
                }
            }
            if (_tries.Count < MostAddresses || _tries.ContainsKey(address))
            {
                _tries[address] = (Math.Min(1000, _tries.GetValueOrDefault(address).Wrong + 1), now);
            }
        }
    }

    /// <summary>Forgets the wrong ones of an address that knew the right one.</summary>
    public void Right(string address)
    {
        lock (_tries)
        {
            _tries.Remove(address);
        }
    }
}
