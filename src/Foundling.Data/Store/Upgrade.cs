using System.Globalization;
using System.Text.Json;
using Foundling.Core.Aim;
using Foundling.Core.Log;
using Foundling.Core.Log.Older;
using Foundling.Core.Rod;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Stores;
using Foundling.Core.Tags;
using Foundling.Data.Tags;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Storage;

namespace Foundling.Data.Store;

/// <summary>
/// What a migration cannot say in SQL: steps of the first format become plans, marks and events. All of it in one
/// transaction, so a start that is killed meanwhile begins again from where it was.
/// </summary>
public static class Upgrade
{
    /// <summary>Name under which a migration leaves the steps of the first format.</summary>
    internal const string StepsBefore = "StepsBefore";

    private const string Guards = """
        CREATE TRIGGER IF NOT EXISTS Events_stay BEFORE UPDATE ON Events
        BEGIN SELECT RAISE(ABORT, 'events are only added'); END;
        CREATE TRIGGER IF NOT EXISTS Events_remain BEFORE DELETE ON Events WHEN EXISTS (SELECT 1 FROM Tags WHERE Number = OLD.TagNumber)
        BEGIN SELECT RAISE(ABORT, 'events are only added'); END;
        CREATE TRIGGER IF NOT EXISTS BathEvents_stay BEFORE UPDATE ON BathEvents
        BEGIN SELECT RAISE(ABORT, 'events are only added'); END;
        CREATE TRIGGER IF NOT EXISTS BathEvents_remain BEFORE DELETE ON BathEvents WHEN EXISTS (SELECT 1 FROM Baths WHERE Number = OLD.BathNumber)
        BEGIN SELECT RAISE(ABORT, 'events are only added'); END;
        CREATE TRIGGER IF NOT EXISTS StoreMoves_stay BEFORE UPDATE ON StoreMoves
        BEGIN SELECT RAISE(ABORT, 'changes are only added'); END;
        CREATE TRIGGER IF NOT EXISTS StoreMoves_remain BEFORE DELETE ON StoreMoves
        BEGIN SELECT RAISE(ABORT, 'changes are only added'); END;
        CREATE TRIGGER IF NOT EXISTS Plans_stay BEFORE UPDATE ON Plans
        BEGIN SELECT RAISE(ABORT, 'a plan never changes'); END;
        """;

    private const string NoGuards = "DROP TRIGGER IF EXISTS Events_stay; DROP TRIGGER IF EXISTS Events_remain; DROP TRIGGER IF EXISTS Plans_stay; "
        + "DROP TRIGGER IF EXISTS BathEvents_stay; DROP TRIGGER IF EXISTS BathEvents_remain; "
        + "DROP TRIGGER IF EXISTS StoreMoves_stay; DROP TRIGGER IF EXISTS StoreMoves_remain;";

    /// <summary>Turns what is left of the first format into today's, and guards what is only ever added to.</summary>
    public static void Run(FoundlingDb db)
    {
        if (Rows(db, $"SELECT name FROM sqlite_master WHERE type = 'table' AND name = '{StepsBefore}'").Count > 0)
        {
            using IDbContextTransaction all = db.Database.BeginTransaction();
            db.Database.ExecuteSqlRaw(NoGuards);
            Convert(db);
            db.Database.ExecuteSqlRaw($"DROP TABLE \"{StepsBefore}\"");
            db.Database.ExecuteSqlRaw(Guards);
            all.Commit();
            return;
        }
        db.Database.ExecuteSqlRaw(Guards);
    }

    private static void Convert(FoundlingDb db)
    {
        foreach (Dictionary<string, object?> row in Rows(db, "SELECT Item FROM StoreItems"))
        {
            string name = (string)row["Item"]!;
            if (Supplies.Named(name) is { } supply)
            {
                db.Database.ExecuteSqlRaw("UPDATE StoreItems SET Item = {0} WHERE Item = {1}", supply.Id.Value, name);
            }
        }
        foreach (string table in new[] { "Events", "Waits", "Clock" })
        {
            foreach (Dictionary<string, object?> row in Rows(db, $"SELECT DISTINCT Step FROM {table} WHERE Step IS NOT NULL"))
            {
                string old = (string)row["Step"]!;
                string? now = OlderStep.IdOf(old)?.ToString();
                if (now != old)
                {
                    // A step nobody knows any more leaves its minutes on the tool as a whole.
                    string sql = table == "Events" || now is not null ? $"UPDATE {table} SET Step = {{0}} WHERE Step = {{1}}"
                        : $"DELETE FROM {table} WHERE Step = {{1}}";
                    db.Database.ExecuteSqlRaw(sql, now!, old);
                }
            }
        }
        foreach (Wait wait in db.Set<Wait>().ToList())
        {
            wait.Kind = OlderStep.LagOf(wait.Step, wait.MustBeOutAt is not null);
            wait.EndedBy = [.. OlderStep.EndedBy(wait.Step, wait.MustBeOutAt is not null)];
        }
        foreach (IGrouping<int, Dictionary<string, object?>> steps in Rows(db, $"SELECT * FROM \"{StepsBefore}\"").GroupBy(r => (int)(long)r["TagNumber"]!))
        {
            Tag tag = db.Tags.Include(t => t.Log).Single(t => t.Number == steps.Key);
            (Plan plan, IReadOnlyList<StepMark> marks) = OlderRod.Read([.. steps.Select(Step)], tag.Aim ?? AimKind.Work, Choices.Read(tag.Ways));
            var row = new PlanRow
            {
                Id = Guid.CreateVersion7(), TagNumber = tag.Number, Version = 1, At = tag.BookedAt, Aim = plan.Aim, Why = plan.Why,
                Document = PlanText.Write(plan),
            };
            db.Add(row);
            tag.PlanId = row.Id;
            tag.Marks.AddRange(marks);
            foreach (BenchEvent happened in OlderRod.Events(tag.Log, marks, plan))
            {
                if (tag.Log.Find(e => e.Id == happened.Id) is not { } there)
                {
                    tag.Log.Add(happened);
                }
                else if (there.Text != happened.Text)
                {
                    db.Database.ExecuteSqlRaw("UPDATE Events SET Text = {0} WHERE Id = {1}", happened.Text, happened.Id);
                }
            }
        }
        db.SaveChanges();
        db.ChangeTracker.Clear();
    }

    private static OlderStep Step(Dictionary<string, object?> row)
    {
        string Text(string name) => row.GetValueOrDefault(name) as string ?? "";
        double? Number(string name) => row.GetValueOrDefault(name) is { } value ? System.Convert.ToDouble(value, CultureInfo.InvariantCulture) : null;
        DateTimeOffset? Moment(string name) => row.GetValueOrDefault(name) is long ticks ? new DateTimeOffset(ticks, TimeSpan.Zero) : null;
        List<string> List(string name) => JsonSerializer.Deserialize<List<string>>(Text(name) is { Length: > 0 } json ? json : "[]")!;
        T Word<T>(string name)
            where T : struct, Enum => Enum.TryParse(Text(name), out T value) ? value : default;
        return new OlderStep(Text("Key"), (int)(Number("Order") ?? 0), Word<Stage>("Stage"), Text("Title"), Number("LowMin") ?? 0, Number("LikelyMin") ?? 0,
            Number("HighMin") ?? 0)
        {
            Parts = List("Parts"), WaitMin = Number("WaitMin"), LookInMin = Number("LookInMin"), OutByMin = Number("OutByMin"), Reason = Text("Reason"),
            How = Text("How"), Materials = List("Materials"), Caution = Text("Caution"), FinishTest = Text("FinishTest"), Undoable = Number("Undoable") != 0,
            SurfaceLost = Text("SurfaceLost"), MetalRemovedMm = Number("MetalRemovedMm") ?? 0, Block = row.GetValueOrDefault("Block") as string,
            Rule = Text("Rule"), Choice = Text("Choice"), Hand = Word<StepHand>("Hand"), After = row.GetValueOrDefault("After") as string,
            WaitsFor = Text("WaitsFor"), ArrivesOn = DateOnly.TryParse(Text("ArrivesOn"), CultureInfo.InvariantCulture, out DateOnly day) ? day : null,
            AgreedAt = Moment("AgreedAt"), Agreed = Text("Agreed"), State = Word<StepState>("State"), EndedAt = Moment("EndedAt"),
                SkipReason = Text("SkipReason"),
        };
    }

    private static List<Dictionary<string, object?>> Rows(FoundlingDb db, string sql)
    {
        db.Database.OpenConnection();
        try
        {
            using var command = (SqliteCommand)db.Database.GetDbConnection().CreateCommand();
            command.Transaction = (SqliteTransaction?)db.Database.CurrentTransaction?.GetDbTransaction();
            command.CommandText = sql;
            using SqliteDataReader reader = command.ExecuteReader();
            var rows = new List<Dictionary<string, object?>>();
            while (reader.Read())
            {
                rows.Add(Enumerable.Range(0, reader.FieldCount).ToDictionary(reader.GetName, i => reader.IsDBNull(i) ? null : reader.GetValue(i)));
            }
            return rows;
        }
        finally
        {
            db.Database.CloseConnection();
        }
    }
}
