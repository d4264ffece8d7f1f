using Foundling.Core.Aim;
using Foundling.Core.Log;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Core.Units;
using Foundling.Data.Shop;

namespace Foundling.Web.Services;

/// <summary>The units this browser shows, kept in a cookie.</summary>
public sealed class ViewUnits(IHttpContextAccessor http)
{
    /// <summary>Name of the cookie.</summary>
    public const string Cookie = "units";

    /// <summary>Units to show and to read bare numbers in.</summary>
    public LengthUnits Units => http.HttpContext?.Request.Cookies[Cookie] == "in" ? LengthUnits.Imperial : LengthUnits.Metric;

    /// <summary>A length in these units.</summary>
    public string Show(double? mm) => mm is double value ? Length.Show(value, Units) : "not measured";

    /// <summary>A reading in these units, no finer than its instrument.</summary>
    public string Show(double mm, double stepMm) => Length.Show(mm, stepMm, Units);

    /// <summary>A value in its unit: a length in these units, an angle, a number.</summary>
    public string Show(double value, Unit unit) => unit switch
    {
        Unit.Millimetres => Show(value),
        Unit.Degrees => $"{value:0.##}°",
        _ => $"{value:0.##}",
    };

    /// <summary>A measurement with how far it may be off; what was counted is not.</summary>
    public string Show(Measurement measured) => MeasureKinds.Find(measured.Kind)?.Unit switch
    {
        Unit.Millimetres => $"{Show(measured.Value, measured.UncertaintyMm)} ± {Show(measured.UncertaintyMm, measured.UncertaintyMm)}",
        Unit.Degrees => $"{Show(measured.Value, Unit.Degrees)} ± {Show(measured.UncertaintyMm, Unit.Degrees)}",
        _ => $"{measured.Value:0.##}",
    };

    /// <summary>A temperature in these units.</summary>
    public string Temperature(double celsius) => Units == LengthUnits.Imperial ? $"{(celsius * 9 / 5) + 32:0} °F" : $"{celsius:0} °C";

    /// <summary>The unit's short name.</summary>
    public string Name => Units == LengthUnits.Imperial ? "in" : "mm";

    /// <summary>A length as it was typed, mm.</summary>
    /// <exception cref="Core.InputException">No length.</exception>
    public double Mm(string? text, string field) => Length.Parse(text, field, Units);

    /// <summary>A length that may be left empty, mm.</summary>
    /// <exception cref="Core.InputException">No length.</exception>
    public double? MmOrNull(string? text, string field) => string.IsNullOrWhiteSpace(text) ? null : Mm(text, field);

    /// <summary>A length as it stands in a field; null for none.</summary>
    public string? InField(double? mm) => mm is double v ? Length.Typed(v, Units) : null;
}

/// <summary>What the frame round every page shows.</summary>
public sealed class Chrome(ShopBook shop, ClockBook clock, TimeProvider time)
{
    /// <summary>The shop.</summary>
    public Task<ShopSettings> Shop() => shop.Read();

    /// <summary>The running clock.</summary>
    public async Task<(RunningClock Running, ClockReading Reading)?> Clock() => await clock.Running() is { } running ? (running, clock.Read(running, null))
        : null;

    /// <summary>Now, as the clock on the wall shows it.</summary>
    public DateTimeOffset Now => time.GetLocalNow();

    /// <summary>A moment as the clock on the wall shows it.</summary>
    public DateTimeOffset Local(DateTimeOffset at) => TimeZoneInfo.ConvertTime(at, time.LocalTimeZone);

    /// <summary>A moment in words: the time today, the weekday within a week, else the date.</summary>
    public string When(DateTimeOffset at)
    {
        DateTimeOffset local = Local(at);
        int days = DateOnly.FromDateTime(local.Date).DayNumber - DateOnly.FromDateTime(Now.Date).DayNumber;
        return days switch
        {
            0 => $"{local:HH:mm}",
            1 => $"tomorrow {local:HH:mm}",
            -1 => $"yesterday {local:HH:mm}",
            > 1 and < 7 => $"{local:ddd HH:mm}",
            _ => $"{local:d MMM HH:mm}",
        };
    }
}

/// <summary>A clock's reading on the screen.</summary>
public static class ClockView
{
    /// <summary>Whole seconds it ran.</summary>
    public static long Seconds(ClockReading reading) => (long)(reading.Minutes * 60);

    /// <summary>Minutes and seconds, or hours, minutes and seconds.</summary>
    public static string Show(ClockReading reading)
    {
        var span = TimeSpan.FromSeconds(Seconds(reading));
        return span.TotalHours >= 1 ? $"{(int)span.TotalHours}:{span.Minutes:00}:{span.Seconds:00}" : $"{span.Minutes}:{span.Seconds:00}";
    }
}

/// <summary>Words for the screen.</summary>
public static class Words
{
    /// <summary>A count with its noun: "1 look", "3 looks".</summary>
    public static string Count(int n, string one, string? many = null) => Core.Units.Sentences.Count(n, one, many);

    /// <summary>A text that begins small, for the middle of a sentence.</summary>
    public static string Uncap(string text) => Sentences.Middle(text);

    /// <summary>What the jobs done so far make of the minutes of a step.</summary>
    public static string Of(PaceResult pace) => $"{Typed.Hours(pace.LikelyMedianMin)} by {(pace.Jobs == 1 ? "the one time" : $"the last {pace.Jobs} times")} "
        + $"it was done here, mostly {Typed.Hours(pace.LowP10Min)} to {Typed.Hours(pace.HighP90Min)}";

    /// <summary>A figure against what is wanted.</summary>
    public static string Of(Core.Soles.FlatVerdict verdict) => verdict switch
    {
        Core.Soles.FlatVerdict.Met => "met",
        Core.Soles.FlatVerdict.NotMet => "not met",
        _ => "cannot tell",
    };

    /// <summary>A family of tools, as a heading.</summary>
    public static string Of(Family family) => family switch
    {
        Family.Plane => "Planes and shaves",
        Family.Saw => "Saws",
        Family.EdgeTool => "Edge tools",
        Family.Wrench => "Wrenches",
        Family.BoringTool => "Drills and braces",
        _ => "Cutters",
    };

    /// <summary>What a proof came to.</summary>
    public static string Proved(ProofRecord proof) => (proof.Verdict(), proof.Degree) switch
    {
        ("met", null) => "target met",
        ("met", _) => "proved",
        ("not_met", null) => "target not met",
        ("not_met", _) => "not yet",
        _ => "cannot tell yet",
    };

    /// <summary>A chance as a person says it.</summary>
    public static string Chance(double p) => p switch
    {
        >= 0.985 => "almost certain",
        >= 0.945 => "nineteen chances in twenty",
        >= 0.85 => "nine chances in ten",
        >= 0.7 => "three chances in four",
        >= 0.58 => "two chances in three",
        >= 0.42 => "as likely as not",
        >= 0.28 => "one chance in three",
        >= 0.17 => "one chance in five",
        >= 0.07 => "one chance in ten",
        _ => "hardly a chance",
    };

    /// <summary>How much a look would tell.</summary>
    public static string Tells(double bits) => bits switch { >= 0.8 => "a great deal", >= 0.4 => "much", >= 0.15 => "something", _ => "a little" };

    /// <summary>Spans of years that are apart from one another, each with its chance.</summary>
    public static string Lobes(Core.Origin.DatingReport dated) => "either " + string.Join(" or ", dated.Lobes.Select(l =>
        $"{l.Years[0]} to {l.Years[1]} ({Chance(l.Mass)})"));

    /// <summary>When a tool was made, with its chance.</summary>
    public static string Years(Core.Origin.DatingReport dated) =>
        dated.Lobes.Count > 1 ? Lobes(dated)
            : $"{dated.Interval90[0]} to {dated.Interval90[1]} ({Chance(dated.Interval90Mass)}), most likely {dated.MedianYear}";

    /// <summary>Whether a part belongs, with its chance in words.</summary>
    /// <param name="label">"belongs", "doubtful" or "odd", as the dating says.</param>
    /// <param name="swapped">Chance that it came from another tool, 0 to 1.</param>
    public static string FromAnother(string label, double swapped) => label switch
    {
        "odd" => $"from another tool: {Chance(swapped)}",
        "doubtful" => $"perhaps from another tool: {Chance(swapped)}",
        _ => "belongs",
    };

    /// <summary>What it takes to see a trait.</summary>
    public static string Of(Core.Origin.LookEffort effort) => effort switch
    {
        Core.Origin.LookEffort.Glance => "a glance",
        Core.Origin.LookEffort.Lens => "with a lens",
        Core.Origin.LookEffort.CapOff => "with the cap off",
        _ => "with the tool apart",
    };

    /// <summary>When a look at the condition was taken.</summary>
    public static string Of(Round round) => round switch { Round.AsFound => "as it came", Round.Washed => "after washing", Round.Apart => "when apart", _ =>
        "after the work" };

    /// <summary>What a verdict says.</summary>
    public static string Of(Core.State.Verdict verdict) => verdict switch
    {
        Core.State.Verdict.Restore => "restore",
        Core.State.Verdict.RestoreIf => "restore, if the doubts are cleared",
        Core.State.Verdict.Parts => "keep it for its parts",
        _ => "leave it as it is",
    };

    /// <summary>What it did when it was tried as found.</summary>
    public static string Of(Core.State.AsFoundTry? tried) => tried switch
    {
        Core.State.AsFoundTry.Well => "it works well",
        Core.State.AsFoundTry.Badly => "it works, badly",
        Core.State.AsFoundTry.NotAtAll => "it does not work",
        _ => "not tried",
    };

    /// <summary>What an aim means.</summary>
    public static string Aim(AimKind aim) => aim switch
    {
        AimKind.Keep => "stabilise it, change nothing else",
        AimKind.Work => "make it cut",
        AimKind.Show => "as it left the works",
        _ => "works, dressed to this shop's taste; the papers say so",
    };

    /// <summary>A stage of the work.</summary>
    public static string Of(Core.Rod.Stage stage) => stage switch
    {
        Core.Rod.Stage.AsFound => "As found", Core.Rod.Stage.Apart => "Apart", Core.Rod.Stage.SmallParts => "Small parts", Core.Rod.Stage.Derust => "Rust",
            Core.Rod.Stage.Bed => "Bed", Core.Rod.Stage.Mechanism => "Works", _ => stage.ToString(),
    };

    /// <summary>A sum in the shop's money.</summary>
    public static string Money(double amount) => amount < -0.005 ? "−" + Money(-amount) : amount < 0.005 ? "0" : amount < 20 ? amount.ToString("0.##",
        System.Globalization.CultureInfo.InvariantCulture) : amount.ToString("#,0", System.Globalization.CultureInfo.InvariantCulture);

    /// <summary>A figure as it is typed into a field: up to four places, no sign of a currency.</summary>
    public static string Plain(double value) => value.ToString("0.####", System.Globalization.CultureInfo.InvariantCulture);

    /// <summary>Minutes more or less.</summary>
    public static string More(double minutes) => minutes == 0 ? "as long" : $"{Wait(Math.Abs(minutes))} {(minutes > 0 ? "more" : "less")}";

    /// <summary>An amount with its unit: "1 sheet", "2 sheets", "30 mL".</summary>
    public static string Amount(double amount, string unit) => Core.Shelves.Measure.Say(amount, unit);

    /// <summary>Something a step needs: "light oil: 10 mL", "bench vice".</summary>
    public static string Of(Core.Rod.Need need) => need.Amount is double amount ? $"{need.Name}: {Amount(amount, need.Unit)}" : need.Name;

    /// <summary>The first of several titles, and how many more there are.</summary>
    public static string List(IReadOnlyList<string> titles, int most = 6) => string.Join("; ", titles.Take(most)) + (titles.Count > most
        ? $"; and {titles.Count - most} more" : "");

    /// <summary>A wait: hours, or days when there are more than two.</summary>
    public static string Wait(double minutes) => Core.Units.Typed.Wait(minutes);

    /// <summary>How often a tool turns up.</summary>
    public static string Of(Core.Aim.Rarity rarity) => rarity switch { Core.Aim.Rarity.Common => "common, every market has one", Core.Aim.Rarity.Uncommon =>
        "uncommon, now and then", Core.Aim.Rarity.Scarce => "scarce, seldom", _ => "rare, hardly ever" };

    /// <summary>How much of a supply there is.</summary>
    public static string Of(Core.Stores.Stock stock) => stock switch { Core.Stores.Stock.Have => "there", Core.Stores.Stock.Low => "running low",
        Core.Stores.Stock.None => "none", _ => "on order" };

    /// <summary>A material in words.</summary>
    public static string Of(Core.Tools.Material material) => Core.Tools.BuildWords.Of(material);

    /// <summary>First letter in upper case.</summary>
    public static string Start(string text) => Sentences.Start(text);
}
