using System.Globalization;
using Foundling.Data.Kinds;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Foundling.Data.Store;

/// <summary>Why a shop cannot be opened: one sentence that says what to do.</summary>
public sealed class CannotOpenException(string sentence, Exception? cause = null) : Exception(sentence, cause);

/// <summary>
/// A shop's folder, opened by one program at a time. Whatever state a crash, a rescue or a full disk left it in, it is
/// put right here or refused in one sentence.
/// </summary>
public sealed class Opening : IDisposable
{
    private readonly DataFolder _folder;
    private readonly FileStream _lock;

    private Opening(DataFolder folder, FileStream held, bool closedCleanly) => (_folder, _lock, ClosedCleanly) = (folder, held, closedCleanly);

    /// <summary>False when the program that had the shop open before was killed.</summary>
    public bool ClosedCleanly { get; }

    /// <summary>Takes the folder for this program and brings its database up to date.</summary>
    /// <param name="folder">The folder; made when it is not there.</param>
    /// <exception cref="CannotOpenException">It cannot be opened; the message says what to do.</exception>
    public static Opening Of(DataFolder folder)
    {
        FileStream held = Hold(folder);
        try
        {
            var opening = new Opening(folder, held, !File.Exists(folder.OpenMark));
            File.WriteAllText(folder.OpenMark, Environment.ProcessId.ToString(CultureInfo.InvariantCulture));
            opening.Ready();
            return opening;
        }
        catch (Exception fault) when (fault is not CannotOpenException)
        {
            held.Dispose();
            throw Said(folder, fault);
        }
        catch
        {
            held.Dispose();
            throw;
        }
    }

    /// <summary>Notes that the shop was closed properly, and lets the folder go.</summary>
    public void Dispose()
    {
        _folder.Release();
        if (File.Exists(_folder.OpenMark))
        {
            File.Delete(_folder.OpenMark);
        }
        _lock.Dispose();
    }

    private static FileStream Hold(DataFolder folder)
    {
        if (File.Exists(folder.Path))
        {
            throw new CannotOpenException($"{folder.Path} is a file, not a folder. Choose a folder for the shop with --data FOLDER.");
        }
        try
        {
            folder.Create();
        }
        catch (Exception fault) when (fault is IOException or UnauthorizedAccessException)
        {
            throw Said(folder, fault);
        }
        try
        {
            return new FileStream(folder.Lock, FileMode.OpenOrCreate, FileAccess.ReadWrite, FileShare.None);
        }
        catch (UnauthorizedAccessException fault)
        {
            throw Said(folder, fault);
        }
        catch (IOException fault) when (StoreFault.Of(fault) is null)
        {
            throw new CannotOpenException($"This shop is open already: another Foundling{Holder(folder)} has {folder.Path}. Use that one, or close it first.",
                fault);
        }
        catch (IOException fault)
        {
            throw Said(folder, fault);
        }
    }

    private static string Holder(DataFolder folder)
    {
        try
        {
            return $" (process {File.ReadAllText(folder.OpenMark)})";
        }
        catch (IOException)
        {
            return "";
        }
    }

    private void Ready()
    {
        bool tables;
        using (var connection = new SqliteConnection(_folder.Connection(pooled: false)))
        {
            connection.Open();
            Run(connection, DataFolder.Pragmas);
            tables = Check(connection);
        }
        using FoundlingDb db = new((DbContextOptions<FoundlingDb>)_folder.Configure(new DbContextOptionsBuilder<FoundlingDb>()).Options);
        List<string> pending = [.. db.Database.GetPendingMigrations()];
        if (pending.Count > 0 && tables)
        {
            Backups.Copy(_folder, Path.Combine(_folder.Backups, $"before-{pending[0]}.db"));
        }
        if (pending.Count > 0)
        {
            db.Database.Migrate();
        }
        Upgrade.Run(db);
        _ = KindShelf.Known(db);
    }

    /// <summary>Reads the state of the file and mends what a crash can leave; true when there are tables in it.</summary>
    private bool Check(SqliteConnection connection)
    {
        List<string> tables = Rows(connection, "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'");
        if (!ClosedCleanly && tables.Count > 0 && Rows(connection, "PRAGMA integrity_check(1)") is [{ } found, ..] && found != "ok")
        {
            throw new CannotOpenException($"The shop's book {_folder.Database} is damaged ({found.ReplaceLineEndings(" ")}). {Restore(_folder)}");
        }
        // A database that was rescued or copied by hand comes back without the write-ahead log.
        if (Rows(connection, "PRAGMA journal_mode=WAL") is not ["wal"])
        {
            throw new CannotOpenException($"{_folder.Database} is in use by another program. Close that program, then start again.");
        }
        Run(connection, "BEGIN IMMEDIATE; ROLLBACK;");
        bool has(string table) => tables.Contains(table);
        if (has("__EFMigrationsLock"))
        {
            // Left behind by a start that was killed. The folder is ours alone, so nobody can be migrating.
            Run(connection, "DELETE FROM \"__EFMigrationsLock\"");
        }
        List<string> made = has("__EFMigrationsHistory") ? Rows(connection, "SELECT MigrationId FROM \"__EFMigrationsHistory\"") : [];
        string[] own = [.. tables.Where(t => !t.StartsWith("__EF", StringComparison.Ordinal))];
        if (made.Count == 0 && own.Length > 0)
        {
            throw new CannotOpenException($"{_folder.Database} is no book of a shop: it holds {own[0]}, and nothing says who made it. {Restore(_folder)}");
        }
        using FoundlingDb db = new((DbContextOptions<FoundlingDb>)_folder.Configure(new DbContextOptionsBuilder<FoundlingDb>()).Options);
        return made.Except(db.Database.GetMigrations()).FirstOrDefault() is { } newer
            ? throw new CannotOpenException($"This shop was opened by a newer Foundling ({newer}); this one cannot read its book. Start the newer program, "
                + $"or use another folder. {Restore(_folder)}")
            : own.Length > 0;
    }

    private static CannotOpenException Said(DataFolder folder, Exception fault) => new(fault switch
    {
        SqliteException { SqliteErrorCode: 5 or 6 } => $"{folder.Database} is in use by another program. Close that program, then start again.",
        SqliteException { SqliteErrorCode: 26 } => $"{folder.Database} is no database any more. {Restore(folder)}",
        SqliteException { SqliteErrorCode: 11 } => $"The shop's book {folder.Database} is damaged. {Restore(folder)}",
        SqliteException { SqliteErrorCode: 14 } => $"{folder.Database} cannot be opened. {Restore(folder)}",
        DirectoryNotFoundException or FileNotFoundException => $"{folder.Path} cannot be made there. Choose another folder with --data FOLDER.",
        _ => StoreFault.Of(fault)?.Kind switch
        {
            StoreFaultKind.Full => $"The disk is full, so {folder.Path} cannot be opened. Make room and start again; nothing was changed.",
            StoreFaultKind.ReadOnly => $"{folder.Path} cannot be written. Allow this program to write there, or choose another folder with --data FOLDER.",
            _ => $"{folder.Path} cannot be opened: {fault.Message.ReplaceLineEndings(" ")} {Restore(folder)}",
        },
    }, fault);

    private static string Restore(DataFolder folder) => Backups.Newest(folder) is { } backup
        ? $"The newest backup is {backup}: move {folder.Database} away, put the backup in its place under that name, and start again."
        : $"There is no backup in {folder.Backups}; if you keep a copy of the folder, put its foundling.db in place.";

    private static void Run(SqliteConnection connection, string sql)
    {
        using SqliteCommand command = connection.CreateCommand();
        command.CommandText = sql;
        command.ExecuteNonQuery();
    }

    private static List<string> Rows(SqliteConnection connection, string sql)
    {
        using SqliteCommand command = connection.CreateCommand();
        command.CommandText = sql;
        using SqliteDataReader reader = command.ExecuteReader();
        var rows = new List<string>();
        while (reader.Read())
        {
            rows.Add(reader.GetString(0));
        }
        return rows;
    }
}
