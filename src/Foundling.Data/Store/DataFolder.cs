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
    /// <summary>The database file.</summary>
    public string Database => System.IO.Path.Combine(Path, "foundling.db");

    /// <summary>The picture store.</summary>
    public string Pictures => System.IO.Path.Combine(Path, "pictures");

    /// <summary>Keys that sign cookies and forms.</summary>
    public string Keys => System.IO.Path.Combine(Path, "keys");

    /// <summary>Makes the folders.</summary>
    public void Create()
    {
        Directory.CreateDirectory(Path);
        Directory.CreateDirectory(Pictures);
        Directory.CreateDirectory(Keys);
    }

    /// <summary>Options for a context on this database.</summary>
    public DbContextOptionsBuilder Configure(DbContextOptionsBuilder options) => options
        .UseSqlite(new SqliteConnectionStringBuilder { DataSource = Database, ForeignKeys = true, DefaultTimeout = 10 }.ConnectionString,
            sqlite => sqlite.UseQuerySplittingBehavior(QuerySplittingBehavior.SplitQuery))
        .AddInterceptors(new SafeWrites());

    /// <summary>Write-ahead log with full sync: what was confirmed survives a power cut.</summary>
    private sealed class SafeWrites : DbConnectionInterceptor
    {
        private const string Pragmas = "PRAGMA journal_mode=WAL; PRAGMA synchronous=FULL; PRAGMA busy_timeout=10000;";

        public override void ConnectionOpened(DbConnection connection, ConnectionEndEventData eventData)
        {
            using DbCommand command = connection.CreateCommand();
            command.CommandText = Pragmas;
            command.ExecuteNonQuery();
        }

        public override async Task ConnectionOpenedAsync(DbConnection connection, ConnectionEndEventData eventData, CancellationToken cancellationToken = default)
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
