using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Safety;
using Foundling.Core.State;
using Foundling.Core.Stores;
using Foundling.Core.Tools;
using Foundling.Core.Units;
using static Foundling.Core.Rod.PlanQuestion;
using static Foundling.Core.Rod.When;

namespace Foundling.Core.Rod.Rules;

/// <summary>Rules for taking apart: in which order, what stays on, what only opens by breaking, and the roll-call.</summary>
internal static class ApartRules
{
    private static readonly Cond Several = If("it has several parts", q => q.Tool.Parts.Count > 1);

    private static readonly Cond ComesApart = If("it comes apart without breaking a joint", q => q.Tool.ComesApart);

    private static readonly Cond LiesApart = If("it comes apart, or a joint is opened", q => q.Tool.ComesApart || q.Opened);

    /// <summary>Counting and looking are steps of their own where there is more than one takes in at a glance; else they belong to the step before.</summary>
    internal static readonly Cond Many = If("more parts come off than one sees at a glance",
        q => q.Present.Count(p => !p.OnePiece && !p.InSet) > q.Shop.Assumptions.GlanceParts);

    private static IEnumerable<PartDef> StaysOn(PlanQuestion q) => q.Present.Where(p => Rust.Joined.Stays(q, p));

    /// <summary>Parts that come off without breaking a joint.</summary>
    internal static IReadOnlyList<PartDef> ComingOff(PlanQuestion q) => q.Tool.Parts.Count > 1 && q.Tool.ComesApart
        ? [.. q.Present.Except(StaysOn(q)).Where(p => !p.InSet && !p.OnePiece)] : [];

    /// <summary>
    /// Parts that wait for a stuck joint: what it holds, and what that sits on. The rest comes off meanwhile; nothing where nothing is stuck, where
    /// everything hangs on it, or where it is all so few parts that nobody goes over them twice.
    /// </summary>
    internal static IReadOnlyList<PartDef> HeldFast(PlanQuestion q)
    {
        if (!Many.Holds(q))
        {
            return [];
        }
        IReadOnlyList<PartDef> all = ComingOff(q);
        HashSet<PartId> held = [.. all.Where(p => q.Worst(FindingKind.Seizure, p.Id) >= SeizedRules.Sits).SelectMany(p => HeldBy(q, p)).Select(p => p.Id)];
        if (held.Count == 0)
        {
            return [];
        }
        // What is on a part that is held comes off with it, or later.
        foreach (PartDef rider in all.Where(p => p.With is PartId with && held.Contains(with) && with != q.Tool.Parts[0].Id).ToList())
        {
            held.Add(rider.Id);
        }
        List<PartDef> fast = [.. all.Where(p => held.Contains(p.Id))];
        return fast.Count < all.Count ? fast : [];
    }

    private static readonly PartId[] CapAndIron = [PartIds.CapIron, PartId.Of("cap_iron_screw")];

    private static IEnumerable<PartDef> HeldBy(PlanQuestion q, PartDef stuck)
    {
        if (stuck.IsFastener && stuck.On is null && !stuck.Is(CapAndIron) && q.Tool.Parts.All(p => p.Rod != stuck.Id))
        {
            // What a bolt through several parts holds is not said, so all of it waits.
            return ComingOff(q);
        }
        PartDef main = q.Tool.Parts[0];
        IEnumerable<PartDef?> held = stuck.Is(CapAndIron) ? [stuck, q.Tool.Part(PartIds.CapIron), q.Tool.Part(PartIds.Iron)]
            : stuck.IsFastener && stuck.On is PartId on ? [stuck, q.Tool.Part(on), q.Tool.Part(on)?.With is PartId with ? q.Tool.Part(with) : main]
            : q.Tool.Parts.FirstOrDefault(p => p.Rod == stuck.Id) is { } upon ? [stuck, upon, main]
            : [stuck, stuck.With is PartId host ? q.Tool.Part(host) : main];
        return held.OfType<PartDef>();
    }

    /// <summary>Parts that lie apart before a stuck joint has given way; all of them where nothing is stuck.</summary>
    internal static IReadOnlyList<PartDef> Loose(PlanQuestion q, IEnumerable<PartDef> parts)
    {
        HashSet<PartId> fast = [.. HeldFast(q).Select(p => p.Id)];
        return fast.Count == 0 ? [.. parts]
            : [.. parts.Where(p => !fast.Contains(p.Id) && !(p.With is PartId host && fast.Contains(host) && StaysOn(q).Contains(p)))];
    }

    /// <summary>One deed for what lies apart, and one for what a stuck joint holds and comes later; one for all where nothing is stuck.</summary>
    /// <param name="q">What is planned.</param>
    /// <param name="parts">The parts it is about.</param>
    /// <param name="make">The deed for some of them, and what its title adds.</param>
    internal static IEnumerable<Deed> AsTheyComeOff(PlanQuestion q, IEnumerable<PartDef> parts, Func<IReadOnlyList<PartDef>, string, Deed> make)
    {
        List<PartDef> all = [.. parts], loose = [.. Loose(q, all)], held = [.. all.Except(loose)];
        if (loose.Count == 0 || held.Count == 0)
        {
            return [make(all, "")];
        }
        Deed then = make(held, ": what was held");
        return [make(loose, "") with { Parts = Ids(loose) }, then with { Id = new DeedId(then.Id.Step, Held), Parts = Ids(held) }];
    }

    private const string Held = "held";

    private static IEnumerable<PartDef> Left(PlanQuestion q) => [.. q.SparedParts, .. q.Tool.Parts.Count > 1 ? StaysOn(q).Where(p => p.Spared is null) : []];

    private const int MostSaid = 4;

    // What is said after the colon in how it is held is what this list is for.
    private static string Why(PlanQuestion q, PartDef part) => part.Spared is { } spared ? $"not to be touched, {Sentences.Middle(spared)}"
        : q.Worst(FindingKind.Looseness, part.Id) >= 2 ? "loose, and "
            + (q.Aim == AimKind.Keep && !part.Is(PartIds.Boxing) && !WoodRules.IsGlued(q, part)
                ? "left as it is" : "made tight where it is")
        : part.Held?.Split(':')[0] ?? (part.Joint == Joint.Destroyed ? "opens only by breaking" : "sound and tight");

    // Its wedge is gone, so there is no blow to free it by.
    private static bool Unwedged(PlanQuestion q) => q.Tool.IsWedged && !q.Has(PartIds.Wedge) && !q.Tool.HasSkate;

    private static string Hows(PlanQuestion q)
    {
        string[] notes =
        [
            Unwedged(q) ? "" : q.Tool.Manner.Apart.Minded(q.Has),
            q.Present.Any(p => p.Joint == Joint.ReverseThread)
                ? $"The {Names(q.Present.Where(p => p.Joint == Joint.ReverseThread))} has a reverse thread: turn it the other way." : "",
            q.Present.Any(p => p.Joint == Joint.TaperedPin) ? "Tapered pins: from the thin end, with a punch that fits." : "",
            q.Present.Any(p => p.Joint == Joint.SplitNut) ? "Soft brass nuts: a driver that fills the slot, then a soft drift for the bolts." : "",
        ];
        return string.Join(" ", notes.Where(n => n.Length > 0));
    }

    /// <summary>Turned by a spanner: a bolt or a nut that no slot and no rod makes a screw of.</summary>
    internal static bool IsHexagon(PlanQuestion q, PartDef part) => part.Fastener is Fastening.Bolt or Fastening.Nut && part.Joint != Joint.SplitNut
        && q.Tool.Parts.All(r => r.Rod != part.Id);

    /// <summary>What turns and drives the fasteners of this tool.</summary>
    internal static List<Need> Turning(PlanQuestion q)
    {
        (SupplyId Item, Func<PartDef, bool> For)[] kit =
        [
            (SupplyIds.FittedScrewdrivers, p => p.IsThreaded && p.Joint != Joint.SplitNut && !IsHexagon(q, p)),
            (SupplyIds.Spanners, p => IsHexagon(q, p)), (SupplyIds.SplitNutDriver, p => p.Joint == Joint.SplitNut),
            (SupplyIds.PinPunches, p => p.Joint == Joint.TaperedPin),
        ];
        return [.. kit.Where(k => q.Present.Any(k.For)).Select(k => Need.Of(k.Item))];
    }

    private static List<Need> Kit(PlanQuestion q)
    {
        List<Need> kit = [Need.Of(SupplyIds.BoxWithCompartments), .. Turning(q)];
        void With(SupplyId item, Func<PartDef, bool> where)
        {
            if (q.Present.Any(where))
            {
                kit.Add(Need.Of(item));
            }
        }
        With(SupplyIds.Mallet, p => p.Joint == Joint.Wedged);
        With(SupplyIds.BrassHammer, p => p.Joint == Joint.LockTab);
        return kit;
    }

    private static readonly Cond Destroyed = If("a joint must be destroyed to go on", q => HandleWays.Opening(q).Count > 0 && !HandleWays.OnlyDriven(q));

    public static IReadOnlyList<PlanRule> All { get; } =
    [
        PlanRule.One("leave-it-on list", "Rivets, captive nuts and sound tight handles come off only once.",
            [If("something on it should stay on, or is not to be touched", q => Left(q).Any())], q => new Deed(StepKey.LeaveOn, Stage.Apart,
            string.Join("; ", new[] { StaysOn(q).Any() ? $"Leave on: {Names(StaysOn(q))}" : "", q.SparedParts.Any()
                ? $"{(StaysOn(q).Any() ? "not" : "Not")} to be touched: {Names(q.SparedParts)}" : "" }.Where(t => t.Length > 0)),
            q.Minutes(StepKey.LeaveOn))
        {
            Parts = Ids(Left(q)), How = string.Join(" ", Left(q).Take(MostSaid).Select(p => $"{Sentences.Start(p.Name)}: {Why(q, p)}.")),
            Reason = q.SparedParts.Any() ? "What is on the list stays as it is, whatever comes after."
                : StaysOn(q).Any(p => q.Worst(FindingKind.Looseness, p.Id) >= 2) ? "Taking it off would break more than it mends."
                : "What is sound and tight is not made better by taking it off.", FinishTest = "The list hangs with the tag.",
        }),
        PlanRule.One("refit plan", "A joint that opens only by breaking is opened only when it is known how it closes again.",
            [NotKeep, Destroyed], q => new Deed(StepKey.RefitPlan, Stage.Apart,
            $"Refit plan for {Names(HandleWays.Opening(q))}: spares on the bench first", q.Minutes(StepKey.RefitPlan))
        {
            Parts = Ids(HandleWays.Opening(q)),
            Needs = q.Tool.Part(PartIds.Haft) is not null ? [Need.Of(SupplyIds.HardwoodWedge, 1), Need.Of(SupplyIds.BlankForAHaft, 1)]
                : [Need.Of(SupplyIds.NewRivet, 2)],
            How = "Write how it will be closed again and lay out what that takes.", Reason = "Peened ends and old wedges do not come off whole.",
            FinishTest = "The new pieces lie on the bench.",
        }),
        PlanRule.One("drive a handle off", "A handle that is only driven on comes off by blows in line with its tang.",
            [NotKeep, If("a driven handle is taken off", HandleWays.OnlyDriven)], q => new Deed(StepKey.OpenJoint, Stage.Apart,
            $"Drive the {Names(HandleWays.Opening(q))} off its tang", q.Minutes(StepKey.OpenJoint, StepCase.Wood))
        {
            Parts = Ids(HandleWays.Opening(q)), Needs = [Need.Of(SupplyIds.BenchVice), Need.Of(SupplyIds.SoftJaws), Need.Of(SupplyIds.ScrapOfHardwood),
                Need.Of(SupplyIds.Mallet)],
            How = "Edge covered, the blade in soft jaws. A block on the shoulder of the wood, tapped away from the blade on one side and the other."
                + (HandleWays.Remade(q).Count > 0 ? " A split one is opened along its split. Ferrule and hoop come off whole, for the new one." : ""),
            Reason = HandleWays.Remade(q).Count > 0 ? "What it holds is made new." : "It is wanted off, so that all of it is reached.",
            FinishTest = "The tang lies bare and straight.", Undoable = false, SurfaceLost = SurfaceId.Joint, Cautions = [CautionId.BareEdge],
        }),
        PlanRule.One("open what only breaks open", "Sometimes the old joint has to go.", [NotKeep,
            Destroyed],
            q => new Deed(StepKey.OpenJoint, Stage.Apart, $"Open the joint at the {Names(HandleWays.Opening(q))}",
                q.Minutes(StepKey.OpenJoint))
        {
            Parts = Ids(HandleWays.Opening(q)),
                Needs = [Need.Of(SupplyIds.BenchVice), Need.Of(SupplyIds.SoftJaws), Need.Of(SupplyIds.PinPunches),
                    .. q.Tool.Part(PartIds.Haft) is not null
                        ? [Need.Of(SupplyIds.HandSaw), Need.Of(SupplyIds.Pliers)] : new[] { Need.Of(SupplyIds.FineFile) }],
            How = q.Tool.Part(PartIds.Haft) is not null
                ? "Look for metal wedges in its end and draw them first: saw and punch break on them. Saw the haft off below the head and drive the stump out "
                    + "through the top of the eye. Never burn it out: heat takes the temper."
                : "File the peened rim away, not the washer, then press the tang out.", Reason = HandleWays.Remade(q).Count > 0
                ? "What it holds is made new." : "It is wanted off, so that all of it is reached.",
            FinishTest = "The metal lies bare and unharmed.", Undoable = false, SurfaceLost = SurfaceId.Joint,
            Cautions = q.Tool.Part(PartIds.Haft) is not null ? [CautionId.Shatter, .. q.Handling()] : q.Handling(),
        }),
        new("take apart", "Rust and dirt live under seats.", [Several, ComesApart], q => HeldFast(q) is { Count: > 0 } fast
            ? [TakeApart(q, [.. ComingOff(q).Except(fast)]), TakeApart(q, fast) with { Id = new DeedId(StepKey.Apart, Held), Title = Freed(q, fast) }]
            : [TakeApart(q, [])]),
        PlanRule.One("roll-call", "A screw missed now is a screw bought later.", [Several, LiesApart, Many], q =>
            new Deed(StepKey.RollCall, Stage.Apart, $"Roll-call: {Loose(q, q.Present).Count} parts", q.Minutes(StepKey.RollCall, Loose(q, q.Present)))
        {
            Parts = Ids(Loose(q, q.Present)), Reason = "What is missing is found before the glue is mixed.",
            FinishTest = "Every part is ticked or named missing.",
        }),
        PlanRule.One("second look apart", "Rust hides under seats.", [Several, LiesApart, Many], q =>
            new Deed(StepKey.LookApart, Stage.Apart, "Look again at what was covered", q.Minutes(StepKey.LookApart, Loose(q, q.Present)))
        {
            Parts = HeldFast(q).Count > 0 ? Ids(Loose(q, q.Present)) : [],
            Needs = [Need.Of(SupplyIds.Lens)], How = "Seats, threads, under caps and handles. New marks go to Origin, new damage to State.",
            Reason = "Seats, bores and stamps are seen only now.", FinishTest = "State and Origin are up to date.",
        }),
        new("missing part", "Made, found or ordered before assembly.", [If("something is missing that it does not work without",
            q => Sought(q).Any())], q => Sought(q).Select(p => Find(q, p))),
        new("missing, and not missed", "It works without it, so nothing waits for it.", [If("something is missing that it works without",
            q => Spare(q).Any())], q => Spare(q).Select(p => LookOut(q, p))),
        new("missing from the set", "A set is worth more whole, but works with what is there.",
            [If("something of its set is missing", q => q.Gone.Any(p => p.InSet))], Set),
    ];

    // Where nothing is stuck the whole tool comes apart in one go, and the deed names no parts.
    private static Deed TakeApart(PlanQuestion q, IReadOnlyList<PartDef> parts)
    {
        IReadOnlyList<PartDef> off = parts.Count > 0 ? parts : ComingOff(q);
        HashSet<PartId> named = [.. off.Select(p => p.Id)];
        return new Deed(StepKey.Apart, Stage.Apart, Unwedged(q) ? "Lift out the iron, which nothing holds"
            : q.Tool.Manner.Apart.Said(p => q.Has(p) && q.Tool.Part(p) is { Joint: not Joint.StaysOn } && (parts.Count == 0 || named.Contains(p))),
            q.Minutes(StepKey.Apart, off))
        {
            Parts = [.. parts.Select(p => p.Id)],
            Needs = Kit(q), How = Hows(q), Reason = "Everything that holds dirt or rust must be reached.",
            FinishTest = (off.Any(p => p.IsThreaded) ? "A box for every screw, in the order they came out."
                : "Every part lies there in the order it came off.") + (Many.Holds(q) ? "" : " What was covered is looked at."),
            Cautions = q.Handling(heavy: true),
        };
    }

    private static string Freed(PlanQuestion q, IReadOnlyList<PartDef> fast) =>
        $"Take off what the stuck joint held: {q.Called([.. fast.Where(p => p.Id != q.Tool.Parts[0].Id)])}";

    // What a new rivet replaces is not looked out for.
    private static IEnumerable<PartDef> Spare(PlanQuestion q) => q.Gone.Where(p => p.Dispensable && !p.InSet
        && (q.Ordered(p) || !HandleWays.Closing(q).Contains(p)));

    // What is made at the bench, and is not on order, is not looked for too.
    private static IEnumerable<PartDef> Sought(PlanQuestion q) => q.Gone.Where(p => !p.InSet && !p.Dispensable
        && (!(HandleRules.MadeAnew(q, p) || (p.Is(PartIds.Cord) && q.Aim != AimKind.Keep))
            || q.Ordered(p)));

    private static Deed Find(PlanQuestion q, PartDef part)
    {
        Found finding = q.Findings.First(f => f.Part == part.Id && f.Kind == FindingKind.Missing && f.Severity >= 1);
        string title = finding.OnOrder ? $"Fit the {part.Name} when it comes" : $"Find or make: {part.Name}";
        return new Deed(new DeedId(StepKey.Find, part.Id.Value), Stage.SmallParts, title, q.Minutes(StepKey.Find))
        {
            Parts = [part.Id], Needs = finding.OnOrder ? [] : [Need.Of(SupplyIds.ReplacementPart, 1)],
            WaitsFor = finding.OnOrder ? $"{part.Name}, on order" : "",
            ArrivesOn = finding.ArrivesOn,
            How = part.IsFastener || part.Material is Material.Steel or Material.Brass
                ? "Parts box first. Measure thread and length on what it goes into: old threads are often odd, and a near one ruins both."
                : part.Material == Material.Wood ? "Parts box first; else made, of the same wood, by the print it left and by its twin on another tool."
                : "Parts box first, then one like it for parts.", Reason = "The tool cannot go together without it.",
            FinishTest = "It lies in the box with the rest.",
        };
    }

    /// <summary>A part the tool works without: it goes on when it turns up, and nothing waits for it.</summary>
    private static Deed LookOut(PlanQuestion q, PartDef part)
    {
        Found finding = q.Findings.First(f => f.Part == part.Id && f.Kind == FindingKind.Missing && f.Severity >= 1);
        return new Deed(new DeedId(StepKey.IronsFind, part.Id.Value), Stage.Finish, finding.OnOrder ? $"Fit the {part.Name} when it comes"
            : $"Look out for: {part.Name}", q.Minutes(StepKey.IronsFind))
        {
            Parts = [part.Id], WaitsFor = finding.OnOrder ? $"{part.Name}, on order" : "", ArrivesOn = finding.ArrivesOn,
            How = "Parts box first, then one like it for parts. Same maker and same years, or the papers say that it came from elsewhere.",
            Reason = "It works without it; whole, it is worth more.", FinishTest = finding.OnOrder ? "It is on, or the papers say why not."
                : "It stands on the wanted list.",
        };
    }

    private static IEnumerable<Deed> Set(PlanQuestion q)
    {
        List<PartDef> ordered = [.. q.Gone.Where(p => p.InSet && q.Ordered(p))],
            open = [.. q.Gone.Where(p => p.InSet).Except(ordered)];
        if (open.Count > 0)
        {
            yield return new Deed(StepKey.IronsFind, Stage.Finish, $"Look out for: {Names(open)}", q.Minutes(StepKey.IronsFind)) { Parts = Ids(open),
                How = "Same maker, same taper, same snecked head. It works meanwhile with those it has.",
                Reason = "A whole set is worth more, but none is needed to work.", FinishTest = "They stand on the wanted list." };
        }
        foreach (PartDef part in ordered)
        {
            Found finding = q.Findings.First(f => f.Part == part.Id && f.Kind == FindingKind.Missing && f.OnOrder);
            yield return new Deed(new DeedId(StepKey.IronsFit, part.Id.Value), Stage.Finish, $"Hone and try the {part.Name} when it comes",
                q.Minutes(StepKey.IronsFit))
            {
                Parts = [part.Id], Needs = [Need.Of(SupplyIds.MediumStone), Need.Of(SupplyIds.TapeOrCorkStrip, 1)],
                WaitsFor = $"{part.Name}, on order", ArrivesOn = finding.ArrivesOn,
                How = "Does its taper fit the wedge and its groove the skate?", Reason = "An iron from elsewhere seldom beds at once.",
                FinishTest = "It beds without rocking and cuts a groove.", Cautions = [CautionId.BareEdge],
            };
        }
    }
}
