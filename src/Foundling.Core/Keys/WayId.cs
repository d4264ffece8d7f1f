using System.Text.Json.Serialization;

namespace Foundling.Core.Keys;

/// <summary>Ways to answer a choice; the same word may answer several; written with hyphens.</summary>
[JsonConverter(typeof(KeyJson))]
public enum WayId
{
    /// <summary>Chelating bath.</summary>
    Chelating,

    /// <summary>Citric acid.</summary>
    Citric,

    /// <summary>Citric acid, mixed warm.</summary>
    CitricWarm,

    /// <summary>Vinegar.</summary>
    Vinegar,

    /// <summary>Vinegar of half its strength.</summary>
    VinegarHalf,

    /// <summary>Electrolysis.</summary>
    Electrolysis,

    /// <summary>Wire wheel.</summary>
    Wire,

    /// <summary>Half a bath, then the wheel.</summary>
    SoakWheel,

    /// <summary>Fine abrasive and oil.</summary>
    Abrasive,

    /// <summary>Blade held flat.</summary>
    Scrape,

    /// <summary>Soft blasting.</summary>
    Blast,

    /// <summary>Coarse blasting.</summary>
    BlastCoarse,

    /// <summary>Wiped off with oil and wool.</summary>
    Wipe,

    /// <summary>A dip of minutes in warm acid.</summary>
    Dip,

    /// <summary>History, left.</summary>
    Keep,

    /// <summary>Rust, taken off.</summary>
    Remove,

    /// <summary>Left as it is.</summary>
    Leave,

    /// <summary>Sealed at its edges.</summary>
    Seal,

    /// <summary>Lived with.</summary>
    Lived,

    /// <summary>Touched in.</summary>
    Touch,

    /// <summary>Resprayed cold.</summary>
    Respray,

    /// <summary>Stripped and baked anew.</summary>
    Bake,

    /// <summary>Cleaned and waxed.</summary>
    Wax,

    /// <summary>Revived.</summary>
    Revive,

    /// <summary>Oiled.</summary>
    Oil,

    /// <summary>Oiled, then waxed.</summary>
    OilWax,

    /// <summary>Scraped and shellacked.</summary>
    Shellac,

    /// <summary>Scraped and lacquered.</summary>
    Lacquer,

    /// <summary>Lapped out, the whole last part flat.</summary>
    Lap,

    /// <summary>Passed under by a shim.</summary>
    Shim,

    /// <summary>Lifted off by hand.</summary>
    Lift,

    /// <summary>Ground back past.</summary>
    Grind,

    /// <summary>Freehand.</summary>
    Freehand,

    /// <summary>In a jig.</summary>
    Jig,

    /// <summary>Given a secondary bevel.</summary>
    Secondary,

    /// <summary>One flat face.</summary>
    Single,

    /// <summary>Rounded under.</summary>
    Rounded,

    /// <summary>Eased.</summary>
    Eased,

    /// <summary>Square.</summary>
    Square,

    /// <summary>Cambered.</summary>
    Cambered,

    /// <summary>Goes as far as it takes to cut.</summary>
    Cuts,

    /// <summary>Goes on until it shines.</summary>
    Shines,

    /// <summary>Hard up, fractions of a millimetre.</summary>
    Hard,

    /// <summary>About 1 mm back.</summary>
    One,

    /// <summary>About 2 mm back.</summary>
    Two,

    /// <summary>Tight.</summary>
    Tight,

    /// <summary>Open, about two.</summary>
    Open,

    /// <summary>As it comes.</summary>
    Any,

    /// <summary>Toe, mouth and heel are in one plane.</summary>
    Zones,

    /// <summary>The whole sole is within the tolerance.</summary>
    Whole,

    /// <summary>Hone first, lap last.</summary>
    HoneFirst,

    /// <summary>Lap first, hone last.</summary>
    LapFirst,

    /// <summary>One coat.</summary>
    OneCoat,

    /// <summary>Two coats.</summary>
    TwoCoats,

    /// <summary>Three coats.</summary>
    ThreeCoats,

    /// <summary>Four coats.</summary>
    FourCoats,

    /// <summary>Where something asks for it.</summary>
    Needed,

    /// <summary>Nowhere.</summary>
    Nowhere,

    /// <summary>White spirit.</summary>
    Solvent,

    /// <summary>Hot water and soap.</summary>
    Soap,

    /// <summary>No primer.</summary>
    NoPrimer,

    /// <summary>Primer first.</summary>
    Primed,

    /// <summary>Paint stripper.</summary>
    Chemical,

    /// <summary>Hot air.</summary>
    Heat,

    /// <summary>Paper.</summary>
    Sand,

    /// <summary>Cleaned and no more.</summary>
    Clean,

    /// <summary>Shined.</summary>
    Shine,

    /// <summary>Trued.</summary>
    Trued,

    /// <summary>The bench grinder.</summary>
    BenchWheel,

    /// <summary>A belt.</summary>
    Belt,

    /// <summary>Coarse paper on glass.</summary>
    Glass,

    /// <summary>A coarse diamond plate.</summary>
    CoarsePlate,

    /// <summary>Flat side and hook only.</summary>
    FlatOnly,

    /// <summary>The bevel too.</summary>
    BothSides,

    /// <summary>The stops are moved.</summary>
    Stops,

    /// <summary>The pivot holes are moved.</summary>
    Holes,

    /// <summary>New jaws.</summary>
    NewJaws,

    /// <summary>The chip is left.</summary>
    LeaveChip,

    /// <summary>As far as the medium stone.</summary>
    Medium,

    /// <summary>Whole and under tension.</summary>
    Tensioned,

    /// <summary>The bare body.</summary>
    BareBody,

    /// <summary>Rough first, true last.</summary>
    RoughFirst,

    /// <summary>The end with more thread.</summary>
    MoreThread,

    /// <summary>A little at each end.</summary>
    BothEnds,

    /// <summary>Oil, then shellac, then wax.</summary>
    OilShellac,

    /// <summary>Dipped in raw oil.</summary>
    RawOil,

    /// <summary>Bright, then buffed.</summary>
    Buff,

    /// <summary>Left, and waxed over.</summary>
    WaxOver,

    /// <summary>With a film of oil.</summary>
    OilFilm,

    /// <summary>With white spirit.</summary>
    Spirit,

    /// <summary>With water and soap.</summary>
    Water,

    /// <summary>Left on.</summary>
    LeftOn,

    /// <summary>Taken off and put on again.</summary>
    TakenOff,

    /// <summary>Taken off on one side only.</summary>
    OneOff,

    /// <summary>Made new.</summary>
    Remade,

    /// <summary>With the pin of the lever out.</summary>
    PinOut,

    /// <summary>Flat on the stone.</summary>
    FlatBack,

    /// <summary>By hand.</summary>
    ByHand,

    /// <summary>On a cloth wheel with compound.</summary>
    Buffed,

    /// <summary>Touched in.</summary>
    Paint,

    /// <summary>One colour.</summary>
    OneColour,

    /// <summary>Two colours.</summary>
    TwoColours,

    /// <summary>With loose powder on bare glass.</summary>
    Powder,

    /// <summary>Dry.</summary>
    Dry,
}
