using Foundling.Core.State;
using Foundling.Core.Units;
using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Rod;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Tags;

namespace Foundling.Core.Tests.Rod;

/// <summary>
/// Every rule of the book with a tool it speaks for, the step it gives, and a tool it says nothing about. A tool is its kind,
/// the aim, what is wrong (part:kind:degree), ways (choice=way) and parts from elsewhere (odd=part).
/// </summary>
public sealed class RuleTests
{
    private static readonly string[][] Examples =
    [
        ["pictures as found", "metal-bench-plane Work", "photos", ""],
        ["drive a handle on", "gouge Work handle:Crack:3", "close-joint", "drawknife Work handle_left:Crack:3"],
        ["close what was opened", "drawknife Work handle_left:Crack:3", "close-joint", "axe Work haft:Crack:3"],
        ["pin orientations", "scraper-plane Work", "photo-pins", "metal-bench-plane Work"],
        ["chuck order", "hand-drill Work", "photo-chuck", "metal-bench-plane Work"],
        ["try as found", "metal-bench-plane Work", "try-as-found", "metal-bench-plane Work body:Crack:3"],
        ["settings as found", "metal-bench-plane Work", "note-settings", "chisel Work"],
        ["clean the shaped sole", "moulding-plane Work", "sole-shape", "rebate-plane Work"],
        ["glue the boxing", "moulding-plane Work boxing:Looseness:2", "boxing", "moulding-plane Work"],
        ["match iron and sole", "moulding-plane Work", "profile-match", "rebate-plane Work"],
        ["read the cheeks", "shoulder-plane Work", "cheek-check", "block-plane Work"],
        ["true the cheeks", "shoulder-plane Work body:OutOfSquare:2", "cheek-lap", "shoulder-plane Work"],
        ["seat the frame", "transitional-plane Work", "frame-seat", "metal-bench-plane Work"],
        ["fit the tangs", "wooden-spokeshave Work iron:Looseness:2", "tang-fit", "wooden-spokeshave Work"],
        ["fasten the wear strip", "wooden-spokeshave Work wear_strip:Looseness:2", "strip-seat", "wooden-spokeshave Work"],
        ["level the foot", "router-plane Work", "foot-level", "block-plane Work"],
        ["let the collar grip", "router-plane Work", "collar-grip", "block-plane Work"],
        ["new cord", "frame-saw Work cord:Worn:3", "cord-new", "frame-saw Work"],
        ["string it", "frame-saw Work", "string-up", "hand-saw Work"],
        ["points of the pad screws", "keyhole-saw Work", "pad-screws", "hand-saw Work"],
        ["teeth of the jaws", "pipe-wrench Work", "jaw-teeth", "adjustable-wrench Work"],
        ["sprung jaws", "open-spanner Work large_end:Worn:2", "jaw-spread", "open-spanner Work"],
        ["oil and work what is stiff", "metal-bench-plane Work frog_screws:Seizure:1", "free-stiff", "metal-bench-plane Work frog_screws:Seizure:2"],
        ["oil stuck threads", "metal-bench-plane Work frog_screws:Seizure:2", "free-oil", "metal-bench-plane Work frog_screws:Seizure:1"],
        ["the grip that fits the joint", "metal-bench-plane Work frog_screws:Seizure:2", "free-driver", "metal-bench-plane Work adjuster:Seizure:2"],
        ["clamp in soft wood", "metal-bench-plane Work adjuster:Seizure:2", "free-clamp", "metal-bench-plane Work"],
        ["shock", "metal-bench-plane Work frog_screws:Seizure:3", "free-shock", "metal-bench-plane Keep frog_screws:Seizure:3"],
        ["heat", "brace Work quill:Seizure:3", "free-heat", "pruner Work spring:Seizure:3"],
        ["drilled pin wrench", "brace Work chuck:Seizure:4", "free-pins", "brace Keep chuck:Seizure:4"],
        ["stop", "metal-bench-plane Work frog_screws:Seizure:3", "free-stop", "metal-bench-plane Work frog_screws:Seizure:2"],
        ["leave-it-on list", "metal-bench-plane Work", "leave-on", "block-plane Work"],
        ["refit plan", "drawknife Work handle_left:Crack:3", "refit-plan", "drawknife Work"],
        ["drive a handle off", "chisel Work handle:Crack:3", "open-joint", "chisel Work"],
        ["open what only breaks open", "drawknife Work handle_left:Crack:3", "open-joint", "drawknife Work"],
        ["take apart", "metal-bench-plane Work", "apart", "chisel Work"],
        ["roll-call", "metal-bench-plane Work", "roll-call", "chisel Work"],
        ["second look apart", "metal-bench-plane Work", "look-apart", "chisel Work"],
        ["missing, and not missed", "wooden-bench-plane Work strike:Missing:2", "irons-find:strike", "wooden-bench-plane Work"],
        ["missing part", "metal-bench-plane Work lever_cap_screw:Missing:2", "find-lever_cap_screw", "metal-bench-plane Work"],
        ["missing from the set", "plough-plane Work set_2:Missing:1 set_3:Missing:1:ordered", "irons-find", "plough-plane Work"],
        ["dust", "metal-bench-plane Work", "wash-dust", ""],
        ["packed shavings", "metal-bench-plane Work lever_cap:Packed:1", "wash-packed", "metal-bench-plane Work"],
        ["sap and tar", "metal-bench-plane Work body:Sap:1", "wash-sap", "metal-bench-plane Work"],
        ["paint splashes", "metal-bench-plane Work body:PaintSplash:1", "wash-paint", "metal-bench-plane Work"],
        ["degrease", "metal-bench-plane Work", "wash", "rebate-plane Work iron:Missing:1"],
        ["wash wood", "metal-bench-plane Work", "wash-wood", "spokeshave Work"],
        ["look again when clean", "metal-bench-plane Work", "look-again", "chisel Work"],
        ["keep out of the bath", "metal-bench-plane Work body:Rust:2", "keep-out", "metal-bench-plane Work"],
        ["soak", "metal-bench-plane Work body:Rust:2", "soak", "metal-bench-plane Work"],
        ["out before the rest", "metal-bench-plane Work body:Rust:4 body:CoatingLoss:4 iron:Rust:2 rust=citric", "soak-early",
            "metal-bench-plane Work body:Rust:2"],
        ["unbroken block out of the bath", "metal-bench-plane Work body:Rust:2", "soak-lift", "metal-bench-plane Work"],
        ["wire wheel", "metal-bench-plane Work body:Rust:2 rust=wire", "derust-wire", "metal-bench-plane Work body:Rust:2"],
        ["fine abrasive and oil", "metal-bench-plane Work body:Rust:2 rust=abrasive", "derust-abrasive", "metal-bench-plane Work body:Rust:2"],
        ["scrape", "metal-bench-plane Keep body:Rust:1", "derust-scrape", "metal-bench-plane Keep"],
        ["blast", "metal-bench-plane Work body:Rust:2 body:CoatingLoss:4 rust=blast", "derust-blast", "metal-bench-plane Work body:Rust:2"],
        ["oil after blasting", "metal-bench-plane Work body:Rust:2 body:CoatingLoss:4 rust=blast", "derust-blast-oil", "metal-bench-plane Work body:Rust:2"],
        ["wipe off the bloom", "metal-bench-plane Work body:Rust:1", "derust-bloom", "metal-bench-plane Work"],
        ["take the dark skin off", "metal-bench-plane Show", "dark-remove", "metal-bench-plane Work"],
        ["screws and slots", "metal-bench-plane Work", "screws", "wooden-bench-plane Work"],
        ["torn threads", "metal-bench-plane Work frog_screws:Worn:2", "thread-mend", "metal-bench-plane Work"],
        ["stripped threads", "metal-bench-plane Work frog_screws:Worn:3", "thread-mend:stripped", "metal-bench-plane Work frog_screws:Worn:2"],
        ["kill live worm", "wooden-bench-plane Keep tote:Worm:3", "worm-kill", "wooden-bench-plane Work tote:Worm:2"],
        ["fill deep pits", "metal-bench-plane Show body:Pitting:3 coating=respray", "pit-fill", "metal-bench-plane Show coating=respray"],
        ["read the side", "rebate-plane Work", "cheek-check", "wooden-bench-plane Work"],
        ["plane the side", "rebate-plane Work body:OutOfSquare:2", "cheek-lap", "rebate-plane Work"],
        ["make a handle", "drawknife Work handle_left:Crack:3", "handle-make", "drawknife Work"],
        ["oil a new handle", "drawknife Work handle_left:Crack:3", "wood-revive:new", "drawknife Work"],
        ["shim by habit", "metal-bench-plane Work back-habit=shim", "edge-save", "metal-bench-plane Work"],
        ["touch in the cap iron", "metal-bench-plane Work cap_iron:Pitting:2 cap-pits=paint", "coat-touch:cap", "metal-bench-plane Work cap_iron:Pitting:2"],
        ["chipped teeth", "hand-drill Work gear:EdgeDamage:2", "gear-teeth", "hand-drill Work"],
        ["bruised jaws", "adjustable-wrench Work fixed_jaw:Burred:2", "jaw-burrs", "adjustable-wrench Work"],
        ["chewed slots", "metal-bench-plane Work frog_screws:Burred:2", "slots-dress", "metal-bench-plane Work"],
        ["lock tabs", "bolt-cutter Work bolts:BentTab:2", "tabs", "bolt-cutter Work"],
        ["knurling", "metal-bench-plane Work", "knurl", "wooden-bench-plane Work"],
        ["clean brass", "metal-bench-plane Work", "brass", "metal-bench-plane Keep"],
        ["mushroomed ends", "axe Work poll:Mushroomed:2", "mushroom", "axe Work poll:Mushroomed:1"],
        ["bad repairs", "metal-bench-plane Work body:Repair:4", "undo-repair", "metal-bench-plane Work"],
        ["straighten", "bolt-cutter Work upper_handle:Bent:2", "straighten", "hand-saw Work plate:Bent:2"],
        ["seal the coating's edge", "metal-bench-plane Keep body:CoatingLoss:1", "coat-seal", "metal-bench-plane Keep"],
        ["touch in the coating", "metal-bench-plane Work body:CoatingLoss:2", "coat-touch", "metal-bench-plane Work"],
        ["settle the colour", "metal-bench-plane Own", "coat-colour", "metal-bench-plane Work"],
        ["strip the coating", "metal-bench-plane Work body:CoatingLoss:4", "coat-strip", "metal-bench-plane Work"],
        ["key the old coat", "metal-bench-plane Own", "coat-scuff", "metal-bench-plane Work"],
        ["mask bare faces", "metal-bench-plane Own", "coat-mask", "metal-bench-plane Work"],
        ["prime", "metal-bench-plane Work body:CoatingLoss:4", "coat-prime", "metal-bench-plane Work"],
        ["degrease before the coat", "metal-bench-plane Own", "coat-degrease", "metal-bench-plane Work"],
        ["coats of paint", "metal-bench-plane Own", "coat-2", "metal-bench-plane Work"],
        ["japan and bake", "metal-bench-plane Show body:CoatingLoss:2", "coat-bake", "metal-bench-plane Show"],
        ["dry damp wood", "metal-bench-plane Work tote:Damp:2", "wood-dry", "metal-bench-plane Work"],
        ["draw up the nut", "metal-bench-plane Work tote:Looseness:2 tote.handle_gap=0", "rod-tighten", "metal-bench-plane Work tote:Looseness:2"],
        ["find out the old finish", "metal-bench-plane Work", "wood-find", "spokeshave Work"],
        ["clean the wood", "metal-bench-plane Work", "wood-clean", "spokeshave Work"],
        ["glue a break", "metal-bench-plane Work tote:Crack:2", "wood-glue", "metal-bench-plane Work"],
        ["scrape the wood", "metal-bench-plane Show", "wood-scrape", "metal-bench-plane Work"],
        ["stain the dings", "metal-bench-plane Show", "wood-stain", "metal-bench-plane Work"],
        ["revive the finish", "metal-bench-plane Work wood=revive", "wood-revive", "metal-bench-plane Work"],
        ["oil the wood", "metal-bench-plane Work tote:CoatingLoss:3", "wood-oil", "metal-bench-plane Keep"],
        ["wax the wood", "metal-bench-plane Keep", "wood-wax", "metal-bench-plane Work"],
        ["shellac the wood", "metal-bench-plane Show", "wood-shellac", "metal-bench-plane Work"],
        ["lacquer the wood", "metal-bench-plane Work wood=lacquer", "wood-lacquer", "metal-bench-plane Work"],
        ["why is it loose", "metal-bench-plane Work tote:Looseness:1", "rod-why", "metal-bench-plane Work"],
        ["shorten the rod", "metal-bench-plane Work tote:Looseness:2", "rod-shorten", "metal-bench-plane Work"],
        ["seat a handle on its tang", "chisel Work handle:Looseness:2", "tang-bed", "chisel Work"],
        ["draw up a loose haft", "axe Work head:Looseness:1", "haft-wedge", "axe Work"],
        ["shape a new haft", "axe Work haft:Crack:3", "haft-shape", "axe Work"],
        ["hang the head", "axe Work haft:Crack:3", "haft-hang", "axe Work"],
        ["wind a grip", "metal-hatchet Work grip:Crack:3", "grip", "metal-hatchet Work"],
        ["overspill off the seats", "metal-bench-plane Work body:CoatingLoss:4", "overspill", "metal-bench-plane Work"],
        ["seat the frog", "metal-bench-plane Work frog:OutOfFlat:2", "frog-seat", "metal-bench-plane Work"],
        ["flatten the frog face", "metal-bench-plane Work frog:OutOfFlat:2", "frog-face", "metal-bench-plane Work"],
        ["bed without a frog", "block-plane Show", "bed-flat", "block-plane Work"],
        ["clean the abutments", "wooden-bench-plane Work body:Packed:2", "abutments", "wooden-bench-plane Work"],
        ["fit the wedge", "wooden-bench-plane Work wedge:Looseness:2", "wedge-fit", "wooden-bench-plane Work"],
        ["gears", "hand-drill Work", "gear-clean", "metal-bench-plane Work"],
        ["chuck", "hand-drill Work", "chuck-clean", "metal-bench-plane Work"],
        ["ratchet", "brace Work", "ratchet-clean", "metal-bench-plane Work"],
        ["knurl and slide", "adjustable-wrench Work", "slide-clean", "metal-bench-plane Work"],
        ["play in the jaw", "adjustable-wrench Work sliding_jaw:Looseness:1", "jaw-play", "adjustable-wrench Work"],
        ["pivots", "bolt-cutter Work", "pivot-clean", "metal-bench-plane Work"],
        ["spring", "pruner Work", "spring-clean", "metal-bench-plane Work"],
        ["fence, stems and stop", "plough-plane Work", "slides", "metal-bench-plane Work"],
        ["deal with the pits", "chisel Work blade:Pitting:3", "edge-save", "chisel Keep blade:Pitting:3"],
        ["flatten the back", "metal-bench-plane Work", "edge-back", "metal-bench-plane Keep"],
        ["grind", "metal-bench-plane Work iron:EdgeDamage:2", "edge-grind", "metal-bench-plane Work"],
        ["hone", "metal-bench-plane Work", "edge-hone", "metal-bench-plane Keep"],
        ["cover the edge", "metal-bench-plane Work", "edge-cover", "metal-bench-plane Keep"],
        ["the rest of the set", "plough-plane Work", "irons-hone", "plough-plane Keep"],
        ["fit the cap iron", "metal-bench-plane Work", "cap-fit", "metal-bench-plane Keep"],
        ["lever cap front", "metal-bench-plane Work lever_cap:Pitting:1", "lever-cap", "metal-bench-plane Work"],
        ["only stabilise the edge", "metal-bench-plane Keep", "edge-keep", "metal-bench-plane Work"],
        ["file the scraper's bevel", "scraper-plane Work", "burr-file", "scraper-plane Keep"],
        ["turn the burr", "scraper-plane Work", "burr-turn", "scraper-plane Keep"],
        ["cover the burr", "scraper-plane Work", "edge-cover", "scraper-plane Keep"],
        ["spare the grooves", "toothing-plane Work", "edge-teeth", "toothing-plane Keep"],
        ["the flat of the bypass blade", "pruner Work", "edge-back", "pruner Keep"],
        ["hone the bypass blade", "pruner Work", "edge-hone", "pruner Keep"],
        ["true the hook", "pruner Work anvil:Bent:2", "hook-true", "pruner Work"],
        ["cover the blade", "pruner Work", "edge-cover", "pruner Keep"],
        ["dress the jaws", "bolt-cutter Work upper_jaw:EdgeDamage:2", "jaw-dress", "bolt-cutter Work"],
        ["light dressing of jaws", "bolt-cutter Work", "jaw-hone", "bolt-cutter Keep"],
        ["watch the etch", "hand-saw Work plate:Mark:1", "etch-find", "hand-saw Work"],
        ["straighten the plate", "hand-saw Work plate:Bent:1", "saw-straight", "hand-saw Work"],
        ["joint the teeth", "hand-saw Work plate:EdgeDamage:2", "saw-joint", "hand-saw Work"],
        ["file the teeth", "hand-saw Work", "saw-file", "hand-saw Keep"],
        ["set the teeth", "hand-saw Work", "saw-set", "hand-saw Keep"],
        ["cover the teeth", "hand-saw Work", "saw-cover", "hand-saw Keep"],
        ["seat the back", "back-saw Work plate:Bent:1", "saw-back", "back-saw Work"],
        ["nuts in line", "hand-saw Work", "saw-nuts", "metal-bench-plane Work"],
        ["put together", "metal-bench-plane Work", "assemble", "chisel Work"],
        ["last honing", "metal-bench-plane Work", "final-hone", "metal-bench-plane Keep"],
        ["set the cap", "metal-bench-plane Work", "set-cap", "metal-bench-plane Keep"],
        ["set the mouth", "metal-bench-plane Work", "set-mouth", "metal-bench-plane Keep"],
        ["pivot tension", "pruner Work", "set-pivot", "metal-bench-plane Work"],
        ["set the stops", "bolt-cutter Work", "set-stops", "bolt-cutter Keep"],
        ["tension", "metal-bench-plane Work", "tension", "metal-bench-plane Keep"],
        ["survey the sole", "metal-bench-plane Work", "sole-check", "metal-bench-plane Keep"],
        ["lap the sole", "metal-bench-plane Work body:OutOfFlat:2", "sole-lap", "metal-bench-plane Work"],
        ["clean the sole", "metal-bench-plane Work body:OutOfFlat:2", "sole-clean", "metal-bench-plane Work"],
        ["sides only if wanted", "metal-bench-plane Show", "sides", "metal-bench-plane Work"],
        ["ease the arrises", "metal-bench-plane Work body:OutOfFlat:2", "arris", "metal-bench-plane Work"],
        ["read the wooden sole", "wooden-bench-plane Work", "sole-check", "metal-bench-plane Work"],
        ["true the wooden sole", "wooden-bench-plane Work body:Bent:1", "sole-wood", "wooden-bench-plane Work"],
        ["check the mouth", "wooden-bench-plane Work", "mouth-check", "wooden-bench-plane Keep"],
        ["protect", "metal-bench-plane Work", "protect", ""],
        ["prove it", "metal-bench-plane Work", "prove", "metal-bench-plane Keep"],
        ["put away", "metal-bench-plane Work", "store", "metal-bench-plane Keep"],
        ["pictures after", "metal-bench-plane Work", "pictures-after", ""],
        ["say what is ours", "metal-bench-plane Own", "own-papers", "metal-bench-plane Work"],
        ["prove it by feel", "metal-bench-plane Work metal=nowhere", "prove", "metal-bench-plane Work"],
        ["wax over the coating", "metal-bench-plane Work body:CoatingLoss:2 coating=wax-over", "coat-seal:wax", "metal-bench-plane Work body:CoatingLoss:2"],
        ["dip the wood", "axe Work wood=raw-oil", "wood-oil:dip", "axe Work"],
        ["lap the sole roughly", "metal-bench-plane Work body:OutOfFlat:2 lapping=rough-first", "sole-rough", "metal-bench-plane Work body:OutOfFlat:2"],
        ["next look", "metal-bench-plane Work", "next-look", ""],
        ["wash plated screws by hand", "bolt-cutter Work bolts:PlatingLoss:2", "wash-plated", "bolt-cutter Work"],
        ["by hand what its way would harm", "metal-bench-plane Work body:Rust:2 cap_iron:Rust:2 rust=citric", "derust-rest",
            "metal-bench-plane Work body:Rust:2 cap_iron:Rust:2 rust=chelating"],
        ["name the wedge as a stranger", "rebate-plane Work odd=wedge", "wedge-note", "rebate-plane Work"],
    ];

    public static TheoryData<string, string, string, string> Rules()
    {
        var data = new TheoryData<string, string, string, string>();
        foreach (string[] e in Examples)
        {
            data.Add(e[0], e[1], e[2], e[3]);
        }
        return data;
    }

    private static DeedId OlderKey(string key) => Core.Log.Older.OlderStep.IdOf(key) ?? DeedId.Read(key);

    private static PlanQuestion Read(string tool)
    {
        string[] words = tool.Split(' ');
        string[] set = [.. words.Where(w => w.Contains('=') && !w.Contains('.'))];
        Reading[] readings = [.. words.Where(w => w.Contains('=') && w.Contains('.')).Select(w => w.Split('.', '=')).Select(w => new Reading(PartId.Of(w[0]),
            MeasureId.Of(w[1]), new Quantity(double.Parse(w[2], System.Globalization.CultureInfo.InvariantCulture), Unit.Millimetres), Instrument.Feeler))];
        PlanQuestion asked = Asking.Ask(KindId.Of(words[0]), Enum.Parse<AimKind>(words[1]), [.. words.Where(w => w.Contains(':')).Select(w => w.Split(':'))
            .Select(w =>
            Asking.F(PartId.Of(w[0]), Enum.Parse<Core.Tools.FindingKind>(w[1]), int.Parse(w[2], System.Globalization.CultureInfo.InvariantCulture),
                w.Length > 3))]);
        return asked with
        {
            Facts = asked.Facts with { Readings = readings },
            TagWays = Choices.Read(set), Odd = set.Where(s => s.StartsWith("odd=", StringComparison.Ordinal)).Select(s => PartId.Of(s[4..])).ToHashSet(),
        };
    }

    [Theory]
    [MemberData(nameof(Rules))]
    public void A_rule_speaks_for_what_it_is_for_and_for_nothing_else(string name, string tool, string key, string other)
    {
        PlanRule rule = Planner.Rules.Single(r => r.Name == name);
        PlanQuestion question = Read(tool);
        rule.Blocker(question).ShouldBeNull(rule.Blocker(question)?.Words);
        PlanStep step = PlanStep.Fresh(Planner.Plan(question)).First(s => s.Key == OlderKey(key));
        step.Deed.Rule.ShouldBe(name);
        if (other.Length > 0)
        {
            Cond blocker = rule.Blocker(Read(other)).ShouldNotBeNull($"\"{name}\" speaks for {other} too");
            blocker.Words.Length.ShouldBeGreaterThan(8);
            PlanStep.Fresh(Planner.Plan(Read(other))).ShouldNotContain(s => s.Deed.Rule == name);
        }
    }

    [Fact]
    public void Every_rule_has_its_example_its_reason_and_a_name_of_its_own()
    {
        Planner.Rules.Select(r => r.Name).Order(StringComparer.Ordinal).ShouldBe(Examples.Select(e => e[0]).Order(StringComparer.Ordinal));
        Planner.Rules.ShouldAllBe(r => r.Why.Length > 15 && r.When.Count > 0);
        // Only what holds for every tool has nothing it is silent about.
        Examples.Where(e => e[3].Length == 0).Select(e => e[0]).ShouldBe(["pictures as found", "dust", "protect",
            "pictures after", "next look"], ignoreOrder: true);
    }

    [Fact]
    public void A_trace_says_what_every_rule_gave_or_what_kept_it_out()
    {
        PlanQuestion question = Read("metal-bench-plane Work body:Rust:2");
        IReadOnlyList<RuleTrace> trace = Planner.Trace(question);
        trace.Count.ShouldBe(Planner.Rules.Count);
        trace.SelectMany(t => t.Steps).ShouldBe(Planner.Plan(question).Select(s => s.Id), ignoreOrder: true);
        trace.ShouldAllBe(t => t.Blocker == null ? t.Steps.Count > 0 : t.Steps.Count == 0);
        trace.First(t => t.Rule.Name == "japan and bake").Blocker.ShouldBe("coating is lost, or the aim asks for a new one");
        trace.First(t => t.Rule.Name == "wire wheel").Blocker.ShouldBe("some part goes to the wheel");
    }

    [Fact]
    public void Every_step_there_is_comes_from_a_rule_and_every_rule_has_its_kind_of_deed()
    {
        HashSet<StepKey> given = [.. Examples.SelectMany(e => Planner.Plan(Read(e[1])).Select(s => s.Id.Step))];
        Enum.GetValues<StepKey>().Except(given).ShouldBe([StepKey.Own]);
        Enum.GetValues<DeedKind>().Except(Enum.GetValues<StepKey>().Select(DeedKinds.Of)).ShouldBeEmpty("a kind of deed no step is of");
    }

    [Fact]
    public void Every_habit_speaks_of_steps_there_are_and_says_why()
    {
        HashSet<StepKey> keys = [.. Examples.SelectMany(e => Planner.Plan(Read(e[1])).Select(s => s.Id.Step))];
        foreach (Habit habit in Habits.All)
        {
            keys.ShouldContain(habit.Before);
            habit.After.ShouldBeSubsetOf(keys);
            habit.Why.Length.ShouldBeGreaterThanOrEqualTo(8);
        }
    }
}
