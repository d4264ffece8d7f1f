namespace Foundling.Core.Deeds;

/// <summary>As it came, and what is lost by the first hand laid on it.</summary>
public static class Came
{
    /// <summary>Nobody has touched it.</summary>
    public static readonly StateValue Untouched = new(Facet.Came, "", "untouched", "pictures show it as it came");

    /// <summary>Work has begun.</summary>
    public static readonly StateValue Touched = new(Facet.Came, "", "touched", "");

    /// <summary>A part sits as it sat.</summary>
    public static readonly StateValue AsItSat = new(Facet.Came, "sat", "as_it_sat", "how it sat is seen only before it is apart");

    /// <summary>It was moved.</summary>
    public static readonly StateValue Moved = new(Facet.Came, "sat", "moved", "");

    /// <summary>It is set as it was found.</summary>
    public static readonly StateValue Settings = new(Facet.Came, "settings", "as_found", "settings are lost when it comes apart");

    /// <summary>Its settings are gone.</summary>
    public static readonly StateValue Unset = new(Facet.Came, "settings", "open", "");

    /// <summary>Its old coat is on it.</summary>
    public static readonly StateValue OldCoat = new(Facet.Came, "coat", "on", "the colour is read before it is stripped");

    /// <summary>Its old coat is gone or covered.</summary>
    public static readonly StateValue NoOldCoat = new(Facet.Came, "coat", "off", "");
}

/// <summary>Where a part is.</summary>
public static class Seat
{
    /// <summary>It lies by itself.</summary>
    public static readonly StateValue Off = new(Facet.Seat, "", "off", "it is off the tool first", Keeps: "what is done apart is done before it goes together");

    /// <summary>It is on the tool.</summary>
    public static readonly StateValue Together = new(Facet.Seat, "", "together", "it is together first", Due.Proof);

    /// <summary>What is inside it lies by itself.</summary>
    public static readonly StateValue Opened = new(Facet.Seat, "inside", "off", "dirt hides inside it");
}

/// <summary>Joints that sit fast: each rung of the ladder once it was tried.</summary>
public static class Joints
{
    /// <summary>Oil has crept in.</summary>
    public static readonly StateValue Oiled = new(Facet.Joint, "oil", "soaked", "oil and time before force");

    /// <summary>A rung was tried.</summary>
    /// <param name="rung">Its key.</param>
    public static StateValue Tried(string rung) => Rungs.TryGetValue(rung, out StateValue? value) ? value
        : throw new ArgumentOutOfRangeException(nameof(rung), rung, "no rung of the ladder");

    private static readonly Dictionary<string, StateValue> Rungs = new[]
    {
        ("work", "threads first, then the screws"), ("turn", "the right driver before the hammer"), ("clamp", "grip before the hammer"),
        ("shock", "shock before heat"), ("heat", "heat before holes"), ("holes", "stopping is the last rung"), ("stop", "it is free, or is known to stay"),
    }.ToDictionary(r => r.Item1, r => new StateValue(Facet.Joint, r.Item1, "tried", r.Item2));
}

/// <summary>What lies on a part and is washed off.</summary>
public static class Dirt
{
    /// <summary>The dust is off.</summary>
    public static readonly StateValue Dusted = new(Facet.Dirt, "dust", "off", "dry dirt goes dry", Due.Work);

    /// <summary>What was packed is out.</summary>
    public static readonly StateValue Picked = new(Facet.Dirt, "packed", "off", "what is packed is picked out dry", Due.Work);

    /// <summary>Sap and tar are off.</summary>
    public static readonly StateValue Softened = new(Facet.Dirt, "sap", "off", "sap is softened before the metal is degreased", Due.Work);

    /// <summary>Splashes of paint are off.</summary>
    public static readonly StateValue Lifted = new(Facet.Dirt, "splash", "off", "splashes come off before the metal is degreased", Due.Work);

    /// <summary>Washed.</summary>
    public static readonly StateValue Clean = new(Facet.Dirt, "", "clean", "wash first", Due.Work);

    /// <summary>Screws and their slots, one at a time.</summary>
    public static readonly StateValue Slots = new(Facet.Dirt, "slot", "off", "clean it before it is filed", Due.Together);

    /// <summary>Gears, chucks, slides and pivots.</summary>
    public static readonly StateValue Works = new(Facet.Dirt, "works", "off", "packed grit reads as wear", Due.Together);

    /// <summary>Knurls.</summary>
    public static readonly StateValue Knurls = new(Facet.Dirt, "knurl", "off", "clean parts go in", Due.Together);

    /// <summary>Brass.</summary>
    public static readonly StateValue Bright = new(Facet.Dirt, "brass", "off", "bright parts go in bright", Due.Together);

    /// <summary>Bed and abutments of a wooden plane.</summary>
    public static readonly StateValue Abutments = new(Facet.Dirt, "abutments", "off", "a wedge is fitted to clean abutments", Due.Together);

    /// <summary>A wooden or shaped face.</summary>
    public static readonly StateValue Face = new(Facet.Dirt, "face", "off", "what is dirt and what is shape shows only when it is clean", Due.Proof);

    /// <summary>The slurry of lapping is off.</summary>
    public static readonly StateValue Slurry = new(Facet.Dirt, "slurry", "off", "grit on the bench spoils an edge", Due.Proof);

    /// <summary>Wood cleaned under its dirt.</summary>
    public static readonly StateValue Wood = new(Facet.Dirt, "wood", "off", "clean before finish", Due.Together);
}

/// <summary>Water in it, or a bath round it.</summary>
public static class Wet
{
    /// <summary>Out of every bath, and dry.</summary>
    public static readonly StateValue Dry = new(Facet.Wet, "", "dry", "it is out of the bath, dry and oiled first",
        Keeps: "what is wanted dry is done before the bath, or after it");

    /// <summary>In a bath.</summary>
    public static readonly StateValue InBath = new(Facet.Wet, "", "in_bath", "");

    /// <summary>Wood that has dried through.</summary>
    public static readonly StateValue Seasoned = new(Facet.Wet, "wood", "dry", "wood moves as it dries, and holds neither glue nor finish", Due.Together);
}

/// <summary>The film on a face.</summary>
public static class Film
{
    /// <summary>Free of oil, wax and fingers.</summary>
    public static readonly StateValue None = new(Facet.Film, "", "none", "paint holds on clean metal only", Keeps: "a film of oil lifts paint in sheets");

    /// <summary>Whatever the work left on it.</summary>
    public static readonly StateValue Worked = new(Facet.Film, "", "worked", "");

    /// <summary>Oiled or waxed to stay.</summary>
    public static readonly StateValue Protected = new(Facet.Film, "", "protected", "oil and wax first", Keeps: "oil and wax come last");
}

/// <summary>Rust.</summary>
public static class Corrosion
{
    /// <summary>Done with the bath.</summary>
    public static readonly StateValue Bathed = new(Facet.Rust, "bath", "off", "what the bath leaves is worked by hand", Due.Clean | Due.Together);

    /// <summary>Worked off dry.</summary>
    public static readonly StateValue Off = new(Facet.Rust, "", "off", "clean metal first", Due.Clean | Due.Together);

    /// <summary>The dark skin is off.</summary>
    public static readonly StateValue Bright = new(Facet.Rust, "skin", "off", "the faces before the edge", Due.Clean | Due.Together);
}

/// <summary>Coats on metal.</summary>
public static class Coat
{
    /// <summary>The old coat is off.</summary>
    public static readonly StateValue Stripped = new(Facet.Coat, "old", "off", "what is under the coat is cleaned too", Due.Clean | Due.Together);

    /// <summary>The old coat is dulled.</summary>
    public static readonly StateValue Keyed = new(Facet.Coat, "key", "keyed", "the old coat is dulled first", Due.Together);

    /// <summary>Pits are filled.</summary>
    public static readonly StateValue Filled = new(Facet.Coat, "pits", "filled", "it is rubbed down before the tape is on", Due.Together);

    /// <summary>Primed.</summary>
    public static readonly StateValue Primed = new(Facet.Coat, "primer", "on", "primer first", Due.Together);

    /// <summary>The last coat is on.</summary>
    public static readonly StateValue Done = new(Facet.Coat, "", "done", "coated parts go in cured", Due.Together | Due.Proof);

    /// <summary>Japan is on and has flashed off.</summary>
    public static readonly StateValue Laid = new(Facet.Coat, "japan", "laid", "it flashes off before the oven");

    /// <summary>Its seats are clear of overspill.</summary>
    public static readonly StateValue Clear = new(Facet.Coat, "overspill", "off", "seats are clear first", Due.Together);
}

/// <summary>Tape and plugs.</summary>
public static class Cover
{
    /// <summary>What stays bare is covered.</summary>
    public static readonly StateValue On = new(Facet.Cover, "", "on", "mask, then paint");

    /// <summary>The tape is off.</summary>
    public static readonly StateValue Off = new(Facet.Cover, "", "off", "tape and plugs come off before the oven", Due.Together);
}

/// <summary>The finish of wood.</summary>
public static class Finish
{
    /// <summary>The old finish is off.</summary>
    public static readonly StateValue Bare = new(Facet.Finish, "old", "off", "scrape before finish", Due.Together);

    /// <summary>Stained.</summary>
    public static readonly StateValue Stained = new(Facet.Finish, "stain", "on", "stain before finish", Due.Together);

    /// <summary>Oil is in, wiped and dry.</summary>
    public static readonly StateValue Oiled = new(Facet.Finish, "oil", "done", "oil first, what goes over it when it is dry", Due.Together | Due.Proof);

    /// <summary>Shellac, lacquer or a thin coat over the old one.</summary>
    public static readonly StateValue Filmed = new(Facet.Finish, "", "done", "wax over all", Due.Together | Due.Proof);

    /// <summary>Waxed.</summary>
    public static readonly StateValue Waxed = new(Facet.Finish, "wax", "done", "finished wood goes on", Due.Together | Due.Proof);
}

/// <summary>Whether a part is in one piece, and there.</summary>
public static class Sound
{
    /// <summary>A bad repair is out.</summary>
    public static readonly StateValue Undone = new(Facet.Whole, "repair", "undone", "the bad repair out first", Due.Sound | Due.Together);

    /// <summary>Live worm is dead.</summary>
    public static readonly StateValue Dead = new(Facet.Whole, "worm", "dead", "what lives in it is killed before it is carried on", Due.Together);

    /// <summary>Found, made or mended, cured where it was glued.</summary>
    public static readonly StateValue Mended = new(Facet.Whole, "", "mended", "it is whole first, and glue comes before finish", Due.Together | Due.Proof);

    /// <summary>It sits fast on its tang, its rod or its haft.</summary>
    public static readonly StateValue Tight = new(Facet.Whole, "tight", "tight", "it is tight first", Due.Proof);

    /// <summary>Threads and tabs.</summary>
    public static readonly StateValue Threads = new(Facet.Whole, "thread", "mended", "mended threads go in", Due.Together);
}

/// <summary>Shapes.</summary>
public static class Trued
{
    /// <summary>Straight.</summary>
    public static readonly StateValue Straight = new(Facet.Shape, "", "straight", "straight first", Due.Sound | Due.Together);

    /// <summary>A struck end is dressed.</summary>
    public static readonly StateValue Dressed = new(Facet.Shape, "end", "dressed", "the end is dressed before the finish", Due.Together);

    /// <summary>A slot or a thread is dressed.</summary>
    public static readonly StateValue Slot = new(Facet.Shape, "slot", "dressed", "dressed screws go in", Due.Together);

    /// <summary>The rod is as long as its wood is high.</summary>
    public static readonly StateValue Rod = new(Facet.Shape, "rod", "fitted", "the rod is right before it goes on", Due.Together);

    /// <summary>A part lies or slides in its place.</summary>
    public static readonly StateValue Seated = new(Facet.Shape, "seat", "flat", "fitted before assembly", Due.Together);

    /// <summary>A face the iron lies on.</summary>
    public static readonly StateValue Bed = new(Facet.Shape, "face", "flat", "the bed is finished before assembly", Due.Together);

    /// <summary>Jaws and what slides in them.</summary>
    public static readonly StateValue Jaw = new(Facet.Shape, "jaw", "dressed", "what is filed is filed apart", Due.Together);

    /// <summary>Burrs are off the jaws.</summary>
    public static readonly StateValue Unburred = new(Facet.Shape, "burr", "off", "a burr reads as a narrow mouth", Due.Together);

    /// <summary>Rough lapping is done.</summary>
    public static readonly StateValue Rough = new(Facet.Shape, "rough", "lapped", "rust and high spots go before anything else", Due.Clean | Due.Together);

    /// <summary>Cheeks or the guiding side are true.</summary>
    public static readonly StateValue Cheeks = new(Facet.Shape, "cheeks", "true", "the sole is square to a cheek that is true", Due.Proof);

    /// <summary>The sole is as flat as it is wanted.</summary>
    public static readonly StateValue Sole = new(Facet.Shape, "sole", "flat", "the sole first", Due.Proof, "nothing moves once the sole is lapped");

    /// <summary>Something it rests on was moved.</summary>
    public static readonly StateValue SoleMoved = new(Facet.Shape, "sole", "moved", "");

    /// <summary>Sides are clean or true.</summary>
    public static readonly StateValue Sides = new(Facet.Shape, "sides", "done", "clean it once", Due.Proof);

    /// <summary>Arrises are eased.</summary>
    public static readonly StateValue Eased = new(Facet.Shape, "arris", "eased", "filings off before the edge is bare", Due.Proof);

    /// <summary>The profile of iron and sole agree.</summary>
    public static readonly StateValue Profile = new(Facet.Shape, "profile", "compared", "the sole is the master of the iron", Due.Together);
}

/// <summary>What cuts.</summary>
public static class Cut
{
    /// <summary>No pit stops it any more.</summary>
    public static readonly StateValue Unpitted = new(Facet.Edge, "pits", "out", "pits first", Due.Together);

    /// <summary>Ground.</summary>
    public static readonly StateValue Ground = new(Facet.Edge, "bevel", "ground", "grind before honing", Due.Together);

    /// <summary>The back is true.</summary>
    public static readonly StateValue Back = new(Facet.Edge, "back", "true", "the back before the bevel", Due.Together);

    /// <summary>A hair of back bevel.</summary>
    public static readonly StateValue BackBevel = new(Facet.Edge, "back_bevel", "made", "the back is done before the bevel");

    /// <summary>The hook it runs against.</summary>
    public static readonly StateValue Hook = new(Facet.Edge, "hook", "true", "the hook before the blade that runs against it", Due.Together);

    /// <summary>Filed and honed, so that a burr can be turned.</summary>
    public static readonly StateValue Filed = new(Facet.Edge, "filed", "filed", "file and hone before the burr is turned");

    /// <summary>The teeth are of one height.</summary>
    public static readonly StateValue Level = new(Facet.Edge, "line", "level", "joint, then file");

    /// <summary>The teeth are set.</summary>
    public static readonly StateValue Set = new(Facet.Edge, "set", "set", "set first, so that filing takes the bruises off");

    /// <summary>Sharp.</summary>
    public static readonly StateValue Sharp = new(Facet.Edge, "", "sharp", "a bare edge is covered at once", Due.Asked);

    /// <summary>Sharp and covered.</summary>
    public static readonly StateValue Covered = new(Facet.Edge, "cover", "on", "hands work round the edge from here on", Due.Proof);

    /// <summary>Touched up when nothing else will dull it.</summary>
    public static readonly StateValue Fresh = new(Facet.Edge, "last", "fresh", "fresh before proof", Due.Proof);

    /// <summary>The cap iron or the lever cap bears all along.</summary>
    public static readonly StateValue Cap = new(Facet.Edge, "cap", "fitted", "fitted before assembly", Due.Together);
}

/// <summary>Settings.</summary>
public static class Setting
{
    /// <summary>The cap iron is set back.</summary>
    public static readonly StateValue Cap = new(Facet.Setting, "cap", "set", "the cap decides how the mouth is set", Due.Proof);

    /// <summary>The mouth is set.</summary>
    public static readonly StateValue Mouth = new(Facet.Setting, "mouth", "set", "nothing moves once the sole is lapped", Due.Proof);

    /// <summary>It stands under its working tension.</summary>
    public static readonly StateValue Tension = new(Facet.Setting, "tension", "set", "tension bends the body, so the sole is judged under it", Due.Proof);

    /// <summary>Pivot, stops, nuts, foot, cord, back: what is set when it is together.</summary>
    public static readonly StateValue Fixed = new(Facet.Setting, "", "set", "set before it is tried", Due.Proof);

    /// <summary>Play and gaps of the mouth were read.</summary>
    public static readonly StateValue Checked = new(Facet.Setting, "checked", "read", "checked before proof", Due.Proof);
}

/// <summary>What somebody has seen, measured or settled.</summary>
public static class Known
{
    /// <summary>What stays on.</summary>
    public static readonly StateValue StaysOn = new(Facet.Known, "stays_on", "settled", "what stays on is settled before the first screw");

    /// <summary>How a joint closes again.</summary>
    public static readonly StateValue Refit = new(Facet.Known, "refit", "planned", "a joint is broken only when it is known how it closes");

    /// <summary>Counted.</summary>
    public static readonly StateValue Counted = new(Facet.Known, "count", "counted", "nothing goes down the drain uncounted");

    /// <summary>Looked at apart.</summary>
    public static readonly StateValue SeenApart = new(Facet.Known, "apart", "seen", "what was covered is seen before it is washed");

    /// <summary>Looked at clean.</summary>
    public static readonly StateValue SeenClean = new(Facet.Known, "clean", "seen", "what is seen clean may change the plan");

    /// <summary>What may not go into the bath is set aside.</summary>
    public static readonly StateValue Sorted = new(Facet.Known, "sorted", "sorted", "wood and brass are set aside before the bath is filled");

    /// <summary>Where the etch is.</summary>
    public static readonly StateValue Etch = new(Facet.Known, "etch", "found", "the etch is found before the rust is touched");

    /// <summary>What the old finish is.</summary>
    public static readonly StateValue OldFinish = new(Facet.Known, "finish", "found", "what softens the finish is known before any solvent");

    /// <summary>The colour.</summary>
    public static readonly StateValue Colour = new(Facet.Known, "colour", "settled", "the colour is settled first");

    /// <summary>Why a handle is loose.</summary>
    public static readonly StateValue Loose = new(Facet.Known, "loose", "found", "know why before filing");

    /// <summary>How flat the sole is.</summary>
    public static readonly StateValue SoleRead = new(Facet.Known, "sole", "measured", "measure before taking metal off");

    /// <summary>How square the cheeks are.</summary>
    public static readonly StateValue CheeksRead = new(Facet.Known, "cheeks", "measured", "measure before taking metal off");

    /// <summary>It was proved.</summary>
    public static readonly StateValue Proved = new(Facet.Known, "proof", "proved", "it is proved first");

    /// <summary>Put away.</summary>
    public static readonly StateValue Stored = new(Facet.Known, "stored", "stored", "put away first");

    /// <summary>Photographed finished.</summary>
    public static readonly StateValue Pictured = new(Facet.Known, "after", "pictured", "pictures first");
}
