using System.Collections.Concurrent;
using Foundling.Core.Aim;
using Foundling.Core.Bench;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Rod;
using Foundling.Core.Soles;
using Foundling.Core.State;
using Foundling.Core.Stores;
using Foundling.Core.Tags;
using Foundling.Core.Shop;
using Foundling.Core.Tools;
using Foundling.Data.Origin;
using Foundling.Data.Pictures;
using Foundling.Data.Shop;
using Foundling.Data.Store;
using Foundling.Data.Stores;
using Foundling.Data.Tags;
using Microsoft.EntityFrameworkCore;

namespace Foundling.Data.Demo;

/// <summary>Fills an empty shop with the loft at Skerrow Slip. Dates are relative to today.</summary>
public sealed class DemoWorld(FoundlingDb db, PictureStore pictures, ShopBook shop, PatternShelf patterns, StoreRoom stores, PlanShelf plans, TimeProvider time)
{
    /// <summary>Width of the demo's pictures, px: enough to count points on, quick to paint.</summary>
    private const int PictureWidth = 960;

    /// <summary>Loads the demo tags into an empty shop; does nothing where there are tags already.</summary>
    public async Task Load(CancellationToken cancel = default)
    {
        if (await db.Tags.AnyAsync(cancel).ConfigureAwait(false))
        {
            return;
        }
        var settings = new ShopSettings { Name = "Skerrow Slip", TemperatureC = 14, HumidityPercent = 66, Dress = "the loft's blue", HourRate = 12 };
        // Painting and keeping the pictures is most of the work, so they are done side by side.
        var painted = new ConcurrentDictionary<(int Number, bool After), Picture>();
        var shots = DemoTags.All.SelectMany(d => new[] { (Demo: d, After: false, Looks: d.Looks) }.Concat(d.After is null ? [] : [(d, true, d.After)]));
        await Parallel.ForEachAsync(shots, cancel, async (shot, stop) =>
        {
            using var stream = new MemoryStream(BenchPhotograph.Paint(Profile.Fitted(shot.Demo.Kind, shot.Demo.LengthMm, shot.Demo.MouthFrontMm), shot.Looks,
                PictureWidth).Jpeg);
            painted[(shot.Demo.Number, shot.After)] = await pictures.Add(stream, "demo", shot.After ? "finished, from the same place" : "as it came",
                stop).ConfigureAwait(false);
        }).ConfigureAwait(false);
        Core.Origin.PatternBook book = await patterns.Read(cancel).ConfigureAwait(false);
        Writing write = await db.Write(cancel).ConfigureAwait(false);
        await using (write.ConfigureAwait(false))
        {
            await Fill(settings, painted, book, cancel).ConfigureAwait(false);
            await write.Done(cancel).ConfigureAwait(false);
        }
    }

    /// <summary>All of it or nothing: a start that is killed meanwhile leaves an empty shop, to be filled by the next.</summary>
    private async Task Fill(ShopSettings settings, ConcurrentDictionary<(int Number, bool After), Picture> painted, Core.Origin.PatternBook book,
        CancellationToken cancel)
    {
        await shop.Save(settings, cancel).ConfigureAwait(false);
        await stores.Say(SupplyIds.ShopOven, Stock.None, cancel: cancel).ConfigureAwait(false);
        await stores.Say(SupplyIds.PaintStripper, Stock.Low, cancel: cancel).ConfigureAwait(false);
        await stores.Say(SupplyIds.SawFiles, Stock.OnOrder, DateOnly.FromDateTime(time.GetLocalNow().Date).AddDays(4), cancel).ConfigureAwait(false);
        ShopContext here = ShopDesk.Of(settings, await stores.Short(cancel).ConfigureAwait(false));
        foreach (DemoTag demo in DemoTags.All)
        {
            Tag tag = Make(demo, here, book);
            Picture picture = painted[(demo.Number, false)];
            picture.At = tag.BookedAt;
            tag.Pictures.Add(picture);
            if (painted.TryGetValue((demo.Number, true), out Picture? after))
            {
                after.At = tag.Steps.Max(s => s.EndedAt) ?? tag.BookedAt.AddDays(1);
                tag.Pictures.Add(after);
            }
            await plans.Keep(tag, cancel).ConfigureAwait(false);
            db.Tags.Add(tag);
        }
        DateTimeOffset now = time.GetUtcNow();
        db.OrphanParts.AddRange(
            new OrphanPart { Kind = KindIds.MetalBenchPlane, Part = PartIds.LateralLever, Note = "riveted disc, off a Pellow & Tarn", At = now.AddDays(-60) },
            new OrphanPart { Kind = KindIds.HandSaw, Part = PartIds.SawNuts, Note = "three domed, split slot", At = now.AddDays(-34) },
            new OrphanPart { Kind = KindIds.HandDrill, Part = PartIds.ChuckJaws, Note = "three on wires, Dunmarrow", At = now.AddDays(-12) });
        db.AddRange(DemoAir.Of(time.GetLocalNow()));
        db.StoreItems.AddRange(DemoStores.Of(DateOnly.FromDateTime(time.GetLocalNow().Date), now));
        db.Baths.AddRange(DemoBaths.Of([.. db.Tags.Local], here, book, now, time.LocalTimeZone));
        await db.SaveChangesAsync(cancel).ConfigureAwait(false);
        db.ChangeTracker.Clear();
    }

    private Tag Make(DemoTag demo, ShopContext here, Core.Origin.PatternBook book)
    {
        DateTimeOffset now = time.GetUtcNow();
        DateTimeOffset booked = now.AddDays(-demo.DaysAgo);
        var today = DateOnly.FromDateTime(time.GetLocalNow().Date);
        var tag = new Tag
        {
            Number = demo.Number, Kind = demo.Kind, Name = demo.Name, LengthMm = demo.LengthMm, IronWidthMm = demo.IronWidthMm, SoleWidthMm = demo.SoleWidthMm,
            MouthFrontMm = demo.MouthFrontMm,
            Purpose = demo.Purpose, Source = demo.Source, Price = demo.Price, ArrivedOn = today.AddDays(-demo.DaysAgo), Owner = demo.Owner,
            OwnersMark = demo.OwnersMark, Story = demo.Story,
            KnownLine = demo.KnownLine, PromisedOn = demo.PromisedInDays is int days ? today.AddDays(days) : null, Aim = demo.Aim, BookedAt = booked,
            Status = TagStatus.InHand,
        };
        DateTimeOffset at = booked;
        DateTimeOffset Next(double minutes) => at = at.AddMinutes(minutes);
        tag.Looks.AddRange(demo.Seen.Select((s, i) => new Look { Id = Guid.CreateVersion7(now), Order = i + 1, Trait = s.Trait, Variant = s.Variant,
            Confidence = s.Confidence, At = Next(2) }));
        tag.Built = demo.Built;
        TagBook.See(tag, Reference.ReferenceData.Book);
        tag.Findings.AddRange(demo.Wrong.Select((w, i) => new Finding
        {
            Id = Guid.CreateVersion7(now), Part = w.Part, Kind = w.Kind, Severity = w.Degree, Note = w.Note, At = Next(1),
            CountHits = i == 0 ? demo.Counted?.Hits : null, CountPoints = i == 0 ? demo.Counted?.Points : null,
        }));
        foreach (Finding f in tag.Findings)
        {
            // A demo note that names a place of the part is that place.
            f.Place = Faults.IsSpot(f.Kind) && tag.Tool().Part(f.Part) is { } on ? PartGroups.Places(tag.Tool(), on, f.Kind).FirstOrDefault(p =>
                f.Note.Contains(p, StringComparison.Ordinal)) ?? "" : "";
        }
        tag.Findings.Where(f => f.Kind == FindingKind.Pitting && f.Severity == 3).ToList().ForEach(f => f.FromEdgeMm = 3);
        tag.Findings.AddRange(demo.AfterWash.Select(w => new Finding { Id = Guid.CreateVersion7(now), Part = w.Part, Kind = w.Kind, Severity = w.Degree,
            Note = w.Note, Round = Round.Washed, At = Next(90) }));
        tag.Measurements.AddRange(demo.Measured.Select(m => new Measurement
        {
            Id = Guid.CreateVersion7(now), Part = m.Part, Kind = m.Kind, Value = m.Value, Instrument = m.With,
            UncertaintyMm = MeasureKinds.UncertaintyMm(m.With, here.Assumptions), At = Next(1),
        }));
        (tag.Tried, tag.TriedNote) = (demo.Tried?.Did, demo.Tried?.Note ?? "");
        (tag.Wish, tag.WorthSound, tag.Rarity, tag.Ways) = (demo.Wish, demo.WorthSound, demo.Rarity, [.. demo.Ways]);
        (tag.KinColour, tag.KinShadow, tag.KinFit) = (demo.Kin?.Colour, demo.Kin?.Shadow, demo.Kin?.Fit);
        if (demo.OnOrder is { } order)
        {
            tag.Findings.Where(f => f.Part == order.Part).ToList().ForEach(f => (f.OnOrder, f.ArrivesOn) = (true, today.AddDays(order.ArrivesInDays)));
        }
        if (demo.AsFoundMm.Length > 0)
        {
            tag.Proofs.Add(Proof(demo.AsFoundMm, true, Next(20)));
        }
        if (demo.Surveyed)
        {
            tag.Surveys.Add(new SoleRecord { Id = Guid.CreateVersion7(now), At = now.AddDays(-2), Source = "bench indicator, mounted and under tension",
                Input = SampleSole(tag) });
        }
        if (demo.Aim is AimKind aim)
        {
            Work(tag, demo, RodDesk.Ask(tag, aim, here, book), now, time.LocalTimeZone);
        }
        if (demo.ProvedMm.Length > 0)
        {
            tag.Proofs.Add(Proof(demo.ProvedMm, false, now.AddDays(-demo.DaysAgo + 20)));
            tag.Status = TagStatus.Done;
        }
        return tag;
    }

    private static void Work(Tag tag, DemoTag demo, PlanQuestion question, DateTimeOffset now, TimeZoneInfo zone)
    {
        var random = new Random(demo.Number);
        tag.Plan = new Plan(question.Aim, Planner.Plan(question)) { Ways = question.TagWays, Why = $"the aim is {question.Aim}",
            Built = tag.Built.IsAsMade ? null : tag.Built, Rests = Rests.Of(question) };
        int done = (int)Math.Floor(tag.Steps.Count * demo.Done + 1e-9);
        if (demo.Standing is not null)
        {
            // What stands is the step whose wait is running.
            int standing = tag.Steps.ToList().FindIndex(s => s.Key == demo.Standing.Value.Step);
            done = standing >= 0 ? standing + 1 : done;
        }
        else if (demo.Washed && tag.Steps.ToList().FindIndex(s => s.Key.Step == StepKey.Soak) is > 0 and int soak)
        {
            done = soak;
        }
        else if (done < tag.Steps.Count && done > 0)
        {
            // A demo tool is never left wet between two steps of a block.
            while (done < tag.Steps.Count && tag.Steps[done].Block is not null && tag.Steps[done - 1].Block == tag.Steps[done].Block)
            {
                done++;
            }
        }
        double days = Math.Max(1, demo.DaysAgo - 2);
        for (int i = 0; i < done; i++)
        {
            PlanStep step = tag.Steps[i];
            // Evenings in the loft, in the shop's own time.
            DateTimeOffset day = TimeZoneInfo.ConvertTime(now.AddDays(-days + (days * 0.8 * i / Math.Max(1, done))), zone);
            DateTimeOffset end = new DateTimeOffset(day.Date.AddHours(18.5).AddMinutes((i % 6 * 22) + random.Next(0, 20)), day.Offset).ToUniversalTime();
            end = end < now ? end : now.AddMinutes(-30);
            if (i == done - 1 && demo.Standing is { } wait)
            {
                end = now.AddHours(-wait.Hours);
                tag.Waits.Add(new Wait
                {
                    Id = Guid.CreateVersion7(end), Step = step.Key, Kind = step.Deed.Lag!.Kind, EndedBy = [.. step.Deed.Lag.EndedBy ?? []],
                    What = Waits.What(step.Deed), StartedAt = end, ReadyAt = end.AddHours(wait.Ready),
                    LookInAt = wait.LookIn is double look ? end.AddHours(wait.Hours + look) : null,
                    MustBeOutAt = wait.OutBy is double by ? end.AddHours(by) : null,
                });
            }
            double minutes = Math.Round(step.LikelyMin * (0.8 + (0.6 * random.NextDouble())), 1);
            tag.SeenCautions.AddRange(step.Cautions.Except(tag.SeenCautions).ToList());
            if (demo.Washed && step.Deed.OnlyIfNeeded)
            {
                tag.Happened(BenchEvent.New(end, EventKind.LeftOut, "it came before that", step.Key));
                continue;
            }
            if (!step.Undoable && Consent.IsOthers(tag, question.Shop.Name))
            {
                tag.Happened(BenchEvent.New(end.AddMinutes(-minutes), EventKind.Agreed, $"{tag.Owner}, at the bench", step.Key).Copy(bound: step.Deed.Content));
            }
            tag.Log.Add(BenchEvent.New(end.AddMinutes(-minutes), EventKind.Started, step.Title, step.Key));
            tag.Log.Add(BenchEvent.New(end, EventKind.Stopped, step.Title, step.Key, minutes));
            tag.Happened(BenchEvent.New(end.AddSeconds(1), EventKind.Done, step.Title, step.Key));
            tag.Log.AddRange(step.Deed.UsesUp.Select(n => BenchEvent.Used(end, step.Key, n)));
        }
        if (done > 4)
        {
            DateTimeOffset at = now.AddDays(-days / 2);
            tag.Log.Add(BenchEvent.New(at, EventKind.Note, "Ines: less grease under the frog than I feared."));
        }
    }

    private static ProofRecord Proof(double[] readings, bool asFound, DateTimeOffset at) => new()
    {
        Id = Guid.CreateVersion7(at), At = at, AsFound = asFound, Conditions = "larch offcut, straight grain, 30 mm edge", ReadingsMm = [.. readings],
        TargetMm = 0.05, ResolutionMm = 0.001,
    };

    /// <summary>The sole the shipped sample file holds too: hollow along its length with a little wind.</summary>
    internal static GridSurveyInput SampleSole(Tag tag)
    {
        double length = tag.LengthMm ?? 245, width = tag.SoleWidthMm ?? 60;
        var random = new Random(tag.Number);
        var points = new List<double[]>();
        for (int i = 0; i < 18; i++)
        {
            foreach (double y in new[] { 3, width / 2, width - 3 })
            {
                double x = Math.Round(2 + (i * (length - 4) / 17), 1), u = ((2 * x) - length) / length, v = ((2 * y) - width) / width;
                double z = (0.11 * u * u) + (0.012 * v * v) + (0.03 * u * v / 4) + (0.02 * u) + ((random.NextDouble() - 0.5) * 0.008);
                points.Add([x, y, Math.Round(z, 3)]);
            }
        }
        return new GridSurveyInput(length, width, points, tag.MouthFrontMm ?? 80, tag.Purpose ?? SolePurpose.Smoothing,
            ReadingErrorMm: 0.004, PlateFlatnessMm: 0.005);
    }
}
