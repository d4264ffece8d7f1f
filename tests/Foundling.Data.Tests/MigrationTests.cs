using Foundling.Core.Log;
using Foundling.Core.Rod;
using Foundling.Core.Safety;
using Foundling.Core.Tags;
using Foundling.Data.Origin;
using Foundling.Data.Shop;
using Foundling.Data.Store;
using Foundling.Data.Tags;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;

namespace Foundling.Data.Tests;

/// <summary>A shop kept by an earlier version opens with everything it had.</summary>
public sealed class MigrationTests : IDisposable
{
    private readonly DataFolder _folder = new(Directory.CreateTempSubdirectory("foundling-old-").FullName);

    public void Dispose()
    {
        _folder.Release();
        Directory.Delete(_folder.Path, recursive: true);
    }

    private FoundlingDb Open() => new((DbContextOptions<FoundlingDb>)_folder.Configure(new DbContextOptionsBuilder<FoundlingDb>()).Options);

    [Fact]
    public async Task Ways_cautions_and_steps_of_the_first_version_are_kept()
    {
        _folder.Create();
        await using (FoundlingDb old = Open())
        {
            await old.GetService<IMigrator>().MigrateAsync("First");
            await old.Database.ExecuteSqlRawAsync("INSERT INTO Shop (Id, Name, TemperatureC, HumidityPercent, Rust) VALUES (1, 'Old loft', 12, 70, 'Citric')");
            await Insert(old, "Tags", new() { ["Number"] = 7, ["Kind"] = "chisel", ["Name"] = "Paring chisel", ["Status"] = "InHand", ["Hand"] = "Either",
                ["ArrivedOn"] = "2026-01-02" });
            await Insert(old, "Steps", new() { ["TagNumber"] = 7, ["Key"] = "wash", ["Order"] = 1, ["Stage"] = "Wash", ["Title"] = "Wash it",
                ["State"] = "Done", ["Parts"] = "[]", ["Materials"] = "[\"white spirit\"]",
                ["Caution"] = "Solvent fumes burn and make dizzy: open the door, no flame or sparks near. Gloves on, and let the wet cloth dry flat "
                    + "outdoors." });
        }
        using Opening opened = Opening.Of(_folder);
        await using (FoundlingDb db = Open())
        {
            ShopSettings shop = await new ShopBook(db).Read();
            (shop.Name, shop.Ways.ShouldHaveSingleItem()).ShouldBe(("Old loft", "rust=citric"));
            Tag tag = (await TestShop.Book(db).Find(7))!;
            PlanStep step = tag.Steps.ShouldHaveSingleItem();
            (step.Cautions.ShouldHaveSingleItem(), step.State, step.Hand).ShouldBe((CautionId.Solvent, StepState.Done, StepHand.Rule));
            (tag.Ways.Count, tag.SeenCautions.Count, tag.Wish).ShouldBe((0, 0, ""));
        }
    }

    [Fact]
    public void A_migration_is_one_short_file_that_goes_up_and_the_snapshot_alone_holds_the_model()
    {
        using FoundlingDb db = Open();
        IMigrationsAssembly all = db.GetService<IMigrationsAssembly>();
        IEnumerable<Migration> made = all.Migrations.Values.Select(type => all.CreateMigration(type, db.Database.ProviderName!));
        made.Where(m => m.TargetModel.GetEntityTypes().Any()).Select(m => m.GetType().Name).ShouldBeEmpty();
        all.ModelSnapshot!.Model.GetEntityTypes().ShouldNotBeEmpty();
        db.Database.HasPendingModelChanges().ShouldBeFalse();
    }

    /// <summary>Fills the columns given, and every other that must have something with nothing.</summary>
    private static async Task Insert(FoundlingDb db, string table, Dictionary<string, object> values)
    {
        await db.Database.OpenConnectionAsync();
        using (SqliteCommand info = ((SqliteConnection)db.Database.GetDbConnection()).CreateCommand())
        {
            info.CommandText = $"PRAGMA table_info({table})";
            using SqliteDataReader reader = await info.ExecuteReaderAsync();
            while (await reader.ReadAsync())
            {
                if (reader.GetInt32(3) == 1 && reader.IsDBNull(4))
                {
                    values.TryAdd(reader.GetString(1), reader.GetString(2) == "TEXT" ? "" : 0);
                }
            }
        }
        using SqliteCommand command = ((SqliteConnection)db.Database.GetDbConnection()).CreateCommand();
        command.CommandText = $"INSERT INTO {table} ({string.Join(", ", values.Keys.Select(k => $"\"{k}\""))}) VALUES "
            + $"({string.Join(", ", values.Keys.Select((_, i) => $"$p{i}"))})";
        int at = 0;
        foreach (object value in values.Values)
        {
            command.Parameters.AddWithValue($"$p{at++}", value);
        }
        await command.ExecuteNonQueryAsync();
    }
}
