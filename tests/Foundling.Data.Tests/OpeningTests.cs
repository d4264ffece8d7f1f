using Foundling.Data.Store;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Foundling.Data.Tests;

/// <summary>Whatever state a folder is in, it opens or says why not.</summary>
public sealed class OpeningTests : IDisposable
{
    private readonly DataFolder _folder = new(Directory.CreateTempSubdirectory("foundling-open-").FullName);

    public void Dispose()
    {
        _folder.Release();
        if (Directory.Exists(_folder.Path))
        {
            Directory.Delete(_folder.Path, true);
        }
    }

    private void OpenAndClose()
    {
        using Opening opening = Opening.Of(_folder);
        using FoundlingDb db = new((DbContextOptions<FoundlingDb>)_folder.Configure(new DbContextOptionsBuilder<FoundlingDb>()).Options);
        db.Tags.Count().ShouldBe(0);
    }

    private string Refusal() => Should.Throw<CannotOpenException>(() => Opening.Of(_folder).Dispose()).Message;

    private void Sql(string sql)
    {
        using var connection = new SqliteConnection($"Data Source={_folder.Database};Pooling=False");
        connection.Open();
        using SqliteCommand command = connection.CreateCommand();
        command.CommandText = sql;
        command.ExecuteNonQuery();
    }

    /// <summary>As a killed program leaves it.</summary>
    private void Killed() => File.WriteAllText(_folder.OpenMark, "4711");

    [Fact]
    public void A_new_folder_opens_and_opens_again()
    {
        OpenAndClose();
        File.Exists(_folder.OpenMark).ShouldBeFalse();
        using Opening again = Opening.Of(_folder);
        again.ClosedCleanly.ShouldBeTrue();
    }

    [Fact]
    public void A_stale_lock_over_a_finished_database_keeps_nobody_out()
    {
        OpenAndClose();
        Sql("INSERT INTO \"__EFMigrationsLock\" VALUES (1, 'x')");
        Killed();
        OpenAndClose();
    }

    [Theory]
    [InlineData("PRAGMA journal_mode=DELETE")]
    [InlineData("PRAGMA journal_mode=DELETE; VACUUM")]
    public void A_database_without_its_log_opens(string before)
    {
        OpenAndClose();
        Sql(before);
        OpenAndClose();
    }

    [Fact]
    public void An_empty_file_is_an_empty_shop()
    {
        Directory.CreateDirectory(_folder.Path);
        File.WriteAllBytes(_folder.Database, []);
        OpenAndClose();
    }

    [Fact]
    public void A_copy_made_by_the_engines_own_tool_opens()
    {
        OpenAndClose();
        string copy = _folder.Database + ".rescued";
        Sql($"VACUUM INTO '{copy}'");
        File.Move(copy, _folder.Database, overwrite: true);
        OpenAndClose();
    }

    [Fact]
    public void What_is_no_database_is_refused_and_the_backup_named()
    {
        OpenAndClose();
        Backups.Daily(_folder, DateTimeOffset.UtcNow);
        File.WriteAllText(_folder.Database, string.Concat(Enumerable.Repeat("this was a shop once. ", 4000)));
        string said = Refusal();
        said.ShouldContain(_folder.Database);
        said.ShouldContain(Backups.Newest(_folder)!);
        said.ShouldNotContain("   at ");
        // And the backup, put in its place, opens.
        File.Copy(Backups.Newest(_folder)!, _folder.Database, overwrite: true);
        OpenAndClose();
    }

    [Fact]
    public void Damage_inside_is_found_after_a_crash()
    {
        OpenAndClose();
        Sql("PRAGMA journal_mode=DELETE");
        using (FileStream file = File.OpenWrite(_folder.Database))
        {
            // Past the first page, so that it still looks like a database.
            file.Position = 3 * 4096;
            file.Write(new byte[30 * 4096]);
        }
        Killed();
        Refusal().ShouldContain("is damaged");
        Refusal().ShouldContain("no backup");
    }

    [Fact]
    public void A_newer_database_is_refused()
    {
        OpenAndClose();
        Sql("INSERT INTO \"__EFMigrationsHistory\" VALUES ('20990101000000_Later', '99.0')");
        Refusal().ShouldContain("newer Foundling");
    }

    [Fact]
    public void Another_programs_database_is_refused()
    {
        Directory.CreateDirectory(_folder.Path);
        Sql("CREATE TABLE recipes (id INTEGER)");
        Refusal().ShouldContain("recipes");
    }

    [Fact]
    public void A_file_in_the_place_of_the_folder_is_refused()
    {
        Directory.Delete(_folder.Path);
        File.WriteAllText(_folder.Path, "");
        Refusal().ShouldContain("is a file, not a folder");
        File.Delete(_folder.Path);
    }

    [Fact]
    public void A_folder_that_cannot_be_written_is_refused()
    {
        string said = Should.Throw<CannotOpenException>(() => Opening.Of(new DataFolder("/proc/foundling"))).Message;
        said.ShouldContain("/proc/foundling");
        said.ShouldNotContain("\n");
    }

    [Fact]
    public void A_second_program_says_that_the_first_has_it()
    {
        using Opening first = Opening.Of(_folder);
        string said = Refusal();
        said.ShouldContain("open already");
        said.ShouldContain($"process {Environment.ProcessId}");
    }

    [Fact]
    public void A_database_another_program_writes_is_told()
    {
        OpenAndClose();
        using var other = new SqliteConnection($"Data Source={_folder.Database};Pooling=False");
        other.Open();
        using SqliteCommand command = other.CreateCommand();
        command.CommandText = "BEGIN EXCLUSIVE";
        command.ExecuteNonQuery();
        Refusal().ShouldContain("in use by another program");
    }

    [Fact]
    public void Backups_are_kept_for_a_week()
    {
        OpenAndClose();
        for (int day = 0; day < 12; day++)
        {
            Backups.Daily(_folder, new DateTimeOffset(2026, 3, 1, 8, 0, 0, TimeSpan.Zero).AddDays(day));
        }
        Directory.GetFiles(_folder.Backups).Length.ShouldBe(7);
        Directory.GetFiles(_folder.Backups).ShouldContain(f => f.EndsWith("2026-03-12.db", StringComparison.Ordinal));
    }

    [Fact]
    public void Faults_of_the_disk_are_told_from_faults_of_the_program()
    {
        StoreFault.Of(new DbUpdateException("x", new SqliteException("full", 13)))!.Kind.ShouldBe(StoreFaultKind.Full);
        StoreFault.Of(new SqliteException("busy", 5))!.Kind.ShouldBe(StoreFaultKind.Busy);
        StoreFault.Of(new SqliteException("readonly", 8))!.Kind.ShouldBe(StoreFaultKind.ReadOnly);
        StoreFault.Of(new SqliteException("constraint", 19)).ShouldBeNull();
        StoreFault.Of(new IOException("No space left on device", 28))!.Kind.ShouldBe(StoreFaultKind.Full);
        StoreFault.Of(new InvalidOperationException()).ShouldBeNull();
    }
}
