using System.Data.Common;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Design;
using Microsoft.EntityFrameworkCore.Diagnostics;

namespace Foundling.Data.Store;

/// <summary>The folder that holds everything the shop owns: the database and the pictures.</summary>
/// <param name="Path">Its absolute path.</param>
public sealed record DataFolder(string Path)
{
    /// <summary>How long a write waits for another to end, ms; writes take a few milliseconds each.</summary>
    public const int BusyMs = 3000;

    /// <summary>The database file.</summary>
    public string Database => System.IO.Path.Combine(Path, "foundling.db");

    /// <summary>The picture store.</summary>
    public string Pictures => System.IO.Path.Combine(Path, "pictures");

    /// <summary>Keys that sign cookies and forms.</summary>
    public string Keys => System.IO.Path.Combine(Path, "keys");

    /// <summary>Copies of the database, one a day.</summary>
    public string Backups => System.IO.Path.Combine(Path, "backups");

    /// <summary>Bundles that were sent and are not yet taken.</summary>
    public string Incoming => System.IO.Path.Combine(Path, "incoming");

    /// <summary>Held while a program has the shop open.</summary>
    public string Lock => System.IO.Path.Combine(Path, "foundling.lock");

    /// <summary>There while the shop is open, with the process that has it; left behind by one that was killed.</summary>
    public string OpenMark => System.IO.Path.Combine(Path, "foundling.open");

    /// <summary>Makes the folders.</summary>
    public void Create()
    {
        foreach (string folder in new[] { Path, Pictures, Keys, Backups, Incoming })
        {
            Directory.CreateDirectory(folder);
        }
    }

    /// <summary>Options for a context on this database.</summary>
    public DbContextOptionsBuilder Configure(DbContextOptionsBuilder options) => options
        .UseSqlite(Connection(pooled: true), sqlite => sqlite.UseQuerySplittingBehavior(QuerySplittingBehavior.SplitQuery))
        .AddInterceptors(new SafeWrites());

    /// <summary>How to connect to the database. The wait for another write is the engine's own; the driver adds none.</summary>
    public string Connection(bool pooled) =>
        new SqliteConnectionStringBuilder { DataSource = Database, ForeignKeys = true, DefaultTimeout = 1, Pooling = pooled }.ConnectionString;

    /// <summary>Lets go of the files of this database, and of no other.</summary>
    public void Release()
    {
        using var any = new SqliteConnection(Connection(pooled: true));
        SqliteConnection.ClearPool(any);
    }

    /// <summary>What holds for every connection: full sync, so that what was confirmed survives a power cut.</summary>
    internal static readonly string Pragmas = $"PRAGMA synchronous=FULL; PRAGMA busy_timeout={BusyMs};";

    private sealed class SafeWrites : DbConnectionInterceptor
    {
        public override void ConnectionOpened(DbConnection connection, ConnectionEndEventData eventData)
        {
            using DbCommand command = connection.CreateCommand();
            command.CommandText = Pragmas;
            command.ExecuteNonQuery();
        }

        public override async Task ConnectionOpenedAsync(DbConnection connection, ConnectionEndEventData eventData,
            CancellationToken cancellationToken = default)
        {
            DbCommand command = connection.CreateCommand();
            await using (command.ConfigureAwait(false))
            {
                command.CommandText = Pragmas;
                await command.ExecuteNonQueryAsync(cancellationToken).ConfigureAwait(false);
            }
        }
    }
}

/// <summary>Lets the migration tool make a context.</summary>
internal sealed class DesignTime : IDesignTimeDbContextFactory<FoundlingDb>
{
    public FoundlingDb CreateDbContext(string[] args) =>
        new((DbContextOptions<FoundlingDb>)new DataFolder(Path.GetTempPath()).Configure(new DbContextOptionsBuilder<FoundlingDb>()).Options);
}
