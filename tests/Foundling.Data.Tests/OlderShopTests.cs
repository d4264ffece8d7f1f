using System.IO.Compression;
using System.Text.Json.Nodes;
using Foundling.Core;
using Foundling.Core.Bench;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Log.Older;
using Foundling.Core.Rod;
using Foundling.Core.Stores;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Data.Papers;
using Foundling.Data.Store;
using Foundling.Data.Stores;
using Foundling.Data.Tags;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Foundling.Data.Tests;

/// <summary>
/// A shop kept before plans were documents and events were told: the demo loft with a bath standing, a clock running, steps
/// agreed to, left out, split, added and moved. It opens with all of it right.
/// </summary>
public sealed class OlderShopTests : IDisposable
{
    private readonly string _path = Directory.CreateTempSubdirectory("foundling-older-").FullName;
    private readonly DataFolder _folder;
    private readonly List<Dictionary<string, object>> _steps, _waits, _log, _pictures;

    public OlderShopTests()
    {
        _folder = new DataFolder(_path);
        _folder.Create();
        ZipFile.ExtractToDirectory(Path.Combine(AppContext.BaseDirectory, "Older", "shop.zip"), _path);
        using var before = new SqliteConnection($"Data Source={_folder.Database};Pooling=False");
        before.Open();
        _steps = Rows(before, "SELECT * FROM Steps ORDER BY TagNumber, \"Order\"");
        _waits = Rows(before, "SELECT * FROM Waits");
        _log = Rows(before, "SELECT * FROM Log");
        _pictures = Rows(before, "SELECT * FROM Pictures");
    }

    public void Dispose()
    {
        _folder.Release();
        Directory.Delete(_path, recursive: true);
    }

    private static List<Dictionary<string, object>> Rows(SqliteConnection connection, string sql)
    {
        using SqliteCommand command = connection.CreateCommand();
        command.CommandText = sql;
        using SqliteDataReader reader = command.ExecuteReader();
        var rows = new List<Dictionary<string, object>>();
        while (reader.Read())
        {
            rows.Add(Enumerable.Range(0, reader.FieldCount).ToDictionary(reader.GetName, reader.GetValue));
        }
        return rows;
    }

    private FoundlingDb Db() => new((DbContextOptions<FoundlingDb>)_folder.Configure(new DbContextOptionsBuilder<FoundlingDb>()).Options);

    private static DateTimeOffset? Moment(object ticks) => ticks is long value ? new DateTimeOffset(value, TimeSpan.Zero) : null;

    [Fact]
    public async Task Every_step_wait_minute_consent_and_picture_is_there()
    {
        using (Opening.Of(_folder))
        {
        }
        // A second opening finds nothing left to do.
        using Opening opened = Opening.Of(_folder);
        await using FoundlingDb db = Db();
        TagBook tags = TestShop.Book(db);
        foreach (IGrouping<object, Dictionary<string, object>> old in _steps.GroupBy(s => s["TagNumber"]))
        {
            Tag tag = (await tags.Find((int)(long)old.Key))!;
            tag.Steps.Count.ShouldBe(old.Count());
            foreach ((Dictionary<string, object> was, PlanStep step) in old.Zip(tag.Steps))
            {
                string where = $"{tag.Label} {was["Key"]}";
                step.Key.ShouldBe(OlderStep.IdOf((string)was["Key"])!.Value, where);
                (step.Title, step.How, step.Reason, step.FinishTest).ShouldBe(((string)was["Title"], (string)was["How"], (string)was["Reason"],
                    (string)was["FinishTest"]), where);
                (step.Minutes.Low, step.LikelyMin, step.Minutes.High)
                    .ShouldBe(((double)was["LowMin"], (double)was["LikelyMin"], (double)was["HighMin"]), where);
                (step.State.ToString(), step.Hand.ToString(), step.Undoable)
                    .ShouldBe(((string)was["State"], (string)was["Hand"], (long)was["Undoable"] == 1), where);
                ((step.EndedAt - Moment(was["EndedAt"])) ?? TimeSpan.Zero).Duration().ShouldBeLessThan(TimeSpan.FromSeconds(1), where);
                step.EndedAt.HasValue.ShouldBe(was["EndedAt"] is long, where);
                (step.SkipReason, step.Agreed, step.WaitsFor).ShouldBe(((string)was["SkipReason"], (string)was["Agreed"], (string)was["WaitsFor"]), where);
                step.AgreedAt.ShouldBe(Moment(was["AgreedAt"]), where);
                (step.WaitMin ?? 0).ShouldBe(was["WaitMin"] as double? ?? 0, where);
                step.Deed.Lag?.MostMin.ShouldBe(was["OutByMin"] as double?, where);
                step.Needs.Count.ShouldBe(JsonNode.Parse((string)was["Materials"])!.AsArray().Count, where);
                step.Needs.ShouldAllBe(n => n.Supply != null, where);
                step.Cautions.Count.ShouldBe(((string)was["Caution"]).Split(' ', StringSplitOptions.RemoveEmptyEntries).Length, where);
                (step.Block is null).ShouldBe(was["Block"] is DBNull, where);
            }
            TagCheck.Of(tag, Assumptions.Standard).ShouldBeEmpty(tag.Label);
            await tags.ReadLog(tag);
            // How steps stand is read off the events alone.
            IReadOnlyDictionary<DeedId, StepMark> told = Standings.Of(tag.Log);
            foreach (StepMark mark in tag.Marks)
            {
                StepMark said = told[mark.Deed];
                (said.State, said.EndedAt, said.SkipReason, said.AgreedAt, said.Agreed, said.AgreedTo).ShouldBe((mark.State, mark.EndedAt, mark.SkipReason,
                    mark.AgreedAt, mark.Agreed, mark.AgreedTo), $"{tag.Label} {mark.Deed}");
            }
        }
        (await db.Set<Wait>().CountAsync()).ShouldBe(_waits.Count);
        (await tags.Standing()).Select(s => (s.Tag.Number, s.Wait.Step.Step, s.Wait.Kind)).ShouldBe([(20, StepKey.Coat2, LagKind.Cure),
            (24, StepKey.Soak, LagKind.OutBy), (27, StepKey.WoodWipe, LagKind.Cure), (31, StepKey.WoodGlue, LagKind.Cure), (38, StepKey.Soak, LagKind.OutBy)],
            ignoreOrder: true);
        foreach (IGrouping<object, Dictionary<string, object>> old in _log.GroupBy(l => l["TagNumber"]))
        {
            (await tags.Booked((int)(long)old.Key)).All.ShouldBe(old.GroupBy(l => l["Step"]).Sum(g => Math.Max(0, g.Where(l =>
                (string)l["Kind"] is "Stopped" or "Correction").Sum(l => l["Minutes"] as double? ?? 0))), 1e-6);
        }
        (await db.Clock.SingleAsync()).Step.ShouldBe((DeedId)StepKey.WoodClean);
        (await db.Set<Picture>().Select(p => p.File).ToListAsync()).ShouldBe(_pictures.Select(p => (string)p["File"]), ignoreOrder: true);
        (await new StoreRoom(db, TimeProvider.System).All())[SupplyIds.ShopOven].Stock.ShouldBe(Stock.None);
        Tag piets = (await tags.Find(24))!;
        (piets.Step(StepKey.JawDress)!.Agreed, Consent.Asked(piets, piets.Step(StepKey.JawDress)!, "Skerrow Slip"))
            .ShouldBe(("Piet, by letter", null));
        Consent.Asked(piets, piets.Step(StepKey.SetStops)!, "Skerrow Slip").ShouldNotBeNull();
    }

    [Fact]
    public async Task A_start_that_is_killed_in_the_middle_begins_again()
    {
        using (Opening.Of(_folder))
        {
        }
        await using (FoundlingDb db = Db())
        {
            // As if the program had been killed between the migration and what follows it: the old steps are there still, the plans are not.
            await db.Database.ExecuteSqlRawAsync("CREATE TABLE StepsBefore AS SELECT 1 AS TagNumber WHERE 0");
        }
        using Opening opened = Opening.Of(_folder);
        await using FoundlingDb again = Db();
        (await again.Set<PlanRow>().CountAsync()).ShouldBe(_steps.Select(s => s["TagNumber"]).Distinct().Count());
    }

    [Fact]
    public async Task Events_and_plans_are_only_ever_added()
    {
        using Opening opened = Opening.Of(_folder);
        await using FoundlingDb db = Db();
        foreach (string sql in new[] { "UPDATE Events SET Minutes = 1", "DELETE FROM Events", "UPDATE Plans SET Why = 'no'" })
        {
            (await Should.ThrowAsync<SqliteException>(() => db.Database.ExecuteSqlRawAsync(sql))).Message.ShouldMatch("only added|never changes");
        }
        // With its tag an event goes.
        await db.Database.ExecuteSqlRawAsync("DELETE FROM Tags WHERE Number = 24");
        (await db.Set<BenchEvent>().AnyAsync(e => EF.Property<int>(e, "TagNumber") == 24)).ShouldBeFalse();
    }

    [Fact]
    public async Task A_bundle_of_the_second_format_is_written_again_as_it_came()
    {
        string document = await File.ReadAllTextAsync(Path.Combine(AppContext.BaseDirectory, "Older", "tag-35-second.json"));
        using var shop = new TestShop();
        await using FoundlingDb db = shop.Open();
        using MemoryStream zip = await Zip(document);
        BundleView view = await shop.Incoming(db).Receive(zip);
        view.Unknown.ShouldBeEmpty();
        Tag taken = await shop.Incoming(db).Take(view.Id, []);
        db.ChangeTracker.Clear();
        Tag tag = (await shop.Tags(db).Find(taken.Number))!;
        await shop.Tags(db).ReadLog(tag);
        JsonObject was = JsonNode.Parse(document)!.AsObject(), now = JsonNode.Parse(BundleDesk.Document(tag, Reference.ReferenceData.Book))!.AsObject();
        now["tag"]!.ToJsonString().ShouldBe(was["tag"]!.ToJsonString());
    }

    private static async Task<MemoryStream> Zip(string document)
    {
        var zip = new MemoryStream();
        await using (var archive = new ZipArchive(zip, ZipArchiveMode.Create, leaveOpen: true))
        {
            await using Stream entry = await archive.CreateEntry(BundleDesk.DocumentName).OpenAsync();
            await entry.WriteAsync(System.Text.Encoding.UTF8.GetBytes(document));
        }
        zip.Position = 0;
        return zip;
    }

    [Theory]
    [InlineData(24)]
    [InlineData(28)]
    public async Task A_bundle_of_the_first_format_is_taken_whole(int number)
    {
        string document = await File.ReadAllTextAsync(Path.Combine(AppContext.BaseDirectory, "Older", $"tag-{number}.json"));
        JsonObject was = JsonNode.Parse(document)!["tag"]!.AsObject();
        using MemoryStream zip = await Zip(document);
        using var shop = new TestShop();
        await using FoundlingDb db = shop.Open();
        Tag taken = await shop.Bring(db, zip);
        db.ChangeTracker.Clear();
        Tag tag = (await shop.Tags(db).Find(taken.Number))!;
        JsonArray steps = was["steps"]!.AsArray();
        tag.Steps.Select(s => s.Title).ShouldBe(steps.Select(s => (string)s!["title"]!));
        tag.Steps.Count(s => s.State == StepState.Done).ShouldBe(steps.Count(s => (string)s!["state"]! == "done"));
        tag.Steps.Where(s => s.Agreed.Length > 0).Select(s => s.Agreed).ShouldBe(steps.Select(s => (string)s!["agreed"]!).Where(a => a.Length > 0));
        tag.Waits.Count.ShouldBe(was["waits"]!.AsArray().Count);
        (await shop.Tags(db).Booked(tag.Number)).All.ShouldBeGreaterThan(10);
        tag.Kind.ShouldBe(KindId.Of((string)was["kind"]!));
    }
}
