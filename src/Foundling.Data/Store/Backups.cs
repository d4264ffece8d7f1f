using System.Globalization;
using Microsoft.Data.Sqlite;

namespace Foundling.Data.Store;

/// <summary>Copies of the database in the shop's folder: one a day for a week, and one before each new form of it.</summary>
public static class Backups
{
    private const int Kept = 7;

    /// <summary>Copies the database once a day; older copies beyond a week are let go.</summary>
    public static void Daily(DataFolder folder, DateTimeOffset now)
    {
        string today = Path.Combine(folder.Backups, $"foundling-{now.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)}.db");
        if (File.Exists(today))
        {
            return;
        }
        Copy(folder, today);
        foreach (string old in Directory.GetFiles(folder.Backups, "foundling-*.db").Order(StringComparer.Ordinal).SkipLast(Kept))
        {
            File.Delete(old);
        }
    }

    /// <summary>The newest copy, or null.</summary>
    public static string? Newest(DataFolder folder) =>
        Directory.Exists(folder.Backups) ? Directory.GetFiles(folder.Backups, "*.db").MaxBy(File.GetLastWriteTimeUtc) : null;

    /// <summary>Copies the database as it stands; a copy that breaks off leaves nothing behind under that name.</summary>
    public static void Copy(DataFolder folder, string to)
    {
        string part = to + ".part";
        File.Delete(part);
        using (var from = new SqliteConnection(folder.Connection(pooled: false)))
        using (var copy = new SqliteConnection(new SqliteConnectionStringBuilder { DataSource = part, Pooling = false }.ConnectionString))
        {
            from.Open();
            copy.Open();
            from.BackupDatabase(copy);
        }
        Durable.Flush(part);
        File.Move(part, to, overwrite: true);
    }
}
