namespace Foundling.Core;

/// <summary>Marks an assumed constant with its unit and the reason for its value.</summary>
[AttributeUsage(AttributeTargets.Property)]
public sealed class AssumedAttribute(string unit, string reason) : Attribute
{
    /// <summary>Unit of the value, empty for a plain number.</summary>
    public string Unit { get; } = unit;

    /// <summary>Why this value.</summary>
    public string Reason { get; } = reason;

    /// <summary>Heading over this figure and those after it, empty where the one before goes on.</summary>
    public string Heading { get; init; } = "";
}

// Each figure says what it is in its attribute, which the program shows; a comment would only repeat it.
#pragma warning disable CS1591

/// <summary>
/// Every assumed constant of the program, in one place. A shop may put any of them otherwise; nothing else in the code
/// repeats these figures.
/// </summary>
public sealed partial record Assumptions
{
    [Assumed("", "chance that a look called sure is misread", Heading = "Looks and patents")] public double SureMisread { get; init; } = 0.01;
    [Assumed("", "chance that a look called likely is misread")] public double LikelyMisread { get; init; } = 0.05;
    [Assumed("", "chance that a look called unsure is misread")] public double UnsureMisread { get; init; } = 0.20;
    [Assumed("", "a tendency is never trusted more than this")] public double SoftMisread { get; init; } = 0.15;
    [Assumed("years", "term of a patent, after which printing it fades")] public double PatentTermYears { get; init; } = 17;
    [Assumed("years", "half-life of the habit of printing an expired patent")] public double PatentHabitHalfLifeYears { get; init; } = 12;
    [Assumed("", "least weight of an old patent number still cast in")] public double PatentHabitFloor { get; init; } = 0.2;
    /// <summary>Years after its grant at which an old patent number is hardly printed any more: the habit has fallen to its floor.</summary>
    public int PatentFadedYears => (int)Math.Round(PatentTermYears + (PatentHabitHalfLifeYears * Math.Log2(1 / Math.Clamp(PatentHabitFloor, 0.01, 1))));

    [Assumed("years", "longest usual wait from filing to grant")] public int PatentPendingYears { get; init; } = 5;
    [Assumed("years", "small parts were made ahead and used up for so long")] public int StockYears { get; init; } = 3;
    [Assumed("", "share of stock left each further year")] public double StockDecay { get; init; } = 0.5;
    [Assumed("", "chance that an iron was swapped", Heading = "Parts that were swapped")] public double SwapIron { get; init; } = 0.35;
    [Assumed("", "chance that a cap iron was swapped")] public double SwapCapIron { get; init; } = 0.20;
    [Assumed("", "chance that a tote or handle was swapped")] public double SwapHandle { get; init; } = 0.20;
    [Assumed("", "chance that a lever cap was swapped")] public double SwapLeverCap { get; init; } = 0.15;
    [Assumed("", "chance that saw nuts were swapped")] public double SwapSawNuts { get; init; } = 0.15;
    [Assumed("", "chance that a knob was swapped")] public double SwapKnob { get; init; } = 0.12;
    [Assumed("", "chance that other hardware was swapped")] public double SwapHardware { get; init; } = 0.15;
    [Assumed("", "chance that a frog was swapped")] public double SwapFrog { get; init; } = 0.06;
    [Assumed("", "chance that a saw plate was swapped")] public double SwapPlate { get; init; } = 0.05;
    [Assumed("", "chance that a tool's maker is not in the pattern book, when a name was read that it knows",
        Heading = "Makers nobody listed")] public double UnknownShare { get; init; } = 0.05;
    [Assumed("", "a line of which less than this share of its former chance is left does not fit")] public double NoFitShare { get; init; } = 0.1;
    [Assumed("", "chance that the maker is not in the pattern book while no name or own mark was read")] public double NamelessShare { get; init; } = 0.6;
    [Assumed("", "chance that a size is not in the pattern book")] public double OddSizeShare { get; init; } = 0.1;
    [Assumed("", "how far another maker followed the habits of the trade")] public double OtherTrade { get; init; } = 0.8;
    [Assumed("", "share of another maker's tools that bear no mark")] public double OtherPlain { get; init; } = 0.5;
    [Assumed("", "how far another maker kept to the trade's sizes")] public double OtherSize { get; init; } = 0.5;
    [Assumed("mm", "a size nobody listed may be of any length over this span")] public double FlatLengthMm { get; init; } = 400;
    [Assumed("mm", "a size nobody listed may have an iron of any width over this span")] public double FlatIronWidthMm { get; init; } = 60;
    [Assumed("years", "another maker may have begun so long before, or ended so long after, those of the book")] public int OtherYears { get; init; } = 30;
    [Assumed("years", "another maker may have taken a habit up, or dropped it, so long before or after those of the book")]
    public int OtherHabitYears { get; init; } = 20;

    [Assumed("", "how far a maker the book does not have is as likely in a year as those it has were")]
    public double OtherLikeCandidates { get; init; } = 0.8;

    [Assumed("", "likelihood ratio of a colour match between wedge and iron",
        Heading = "Length, fit and other evidence")] public double KinColour { get; init; } = 6;
    [Assumed("", "likelihood ratio of a matching shadow line")] public double KinShadow { get; init; } = 8;
    [Assumed("", "likelihood ratio of a matching fit")] public double KinFit { get; init; } = 3;
    [Assumed("mm", "spread of lengths within one size")] public double LengthSigmaMm { get; init; } = 3;
    [Assumed("mm", "spread of iron widths within one size")] public double IronWidthSigmaMm { get; init; } = 0.8;
    [Assumed("", "chance of a slip of the rule")] public double RuleSlip { get; init; } = 0.01;
    [Assumed("years", "runs of years nearer than this count as one")] public int LobeGapYears { get; init; } = 3;
    [Assumed("min", "a look at a glance", Heading = "What a look costs")] public double GlanceMinutes { get; init; } = 0.5;
    [Assumed("min", "a look with the lens")] public double LensMinutes { get; init; } = 2;
    [Assumed("min", "a look with the cap off")] public double CapOffMinutes { get; init; } = 3;
    [Assumed("min", "a look with the tool apart")] public double StripMinutes { get; init; } = 15;

    [Assumed("mm", "a slot may wear to this far from the hard end", Heading = "Steel left and colours of rust")] public double SlotMarginMm { get; init; } = 6;
    [Assumed("mm", "steel lost by one honing")] public double LossPerHoningMm { get; init; } = 0.08;
    [Assumed("deg", "least hue of rust on a photograph")] public double RustHueLow { get; init; } = 25;
    [Assumed("deg", "greatest hue of rust on a photograph")] public double RustHueHigh { get; init; } = 75;
    [Assumed("", "least chroma of rust")] public double RustChromaLow { get; init; } = 14;
    [Assumed("", "greatest chroma of rust")] public double RustChromaHigh { get; init; } = 60;
    [Assumed("", "least lightness of rust")] public double RustLightLow { get; init; } = 8;
    [Assumed("", "greatest lightness of rust")] public double RustLightHigh { get; init; } = 65;
    [Assumed("", "greatest chroma of bright metal")] public double BrightChroma { get; init; } = 8;
    [Assumed("", "least lightness of bright metal")] public double BrightLight { get; init; } = 55;
    [Assumed("", "worth an uncommon tool loses with its surface", Heading = "Surface and worth")] public double RarityUncommon { get; init; } = 0.15;
    [Assumed("", "worth a scarce tool loses with its surface")] public double RarityScarce { get; init; } = 0.4;
    [Assumed("", "worth a rare tool loses with its surface")] public double RarityRare { get; init; } = 0.65;
    [Assumed("", "share of the original surface that is patina")] public double SurfacePatina { get; init; } = 0.35;
    [Assumed("", "share of the original surface that is coating")] public double SurfaceCoating { get; init; } = 0.2;
    [Assumed("", "share of the original surface that is finish on wood")] public double SurfaceWood { get; init; } = 0.15;
    [Assumed("", "share of a coated casting that was left bare and shows its age")] public double CoatedBareShare { get; init; } = 0.25;
    [Assumed("", "share of the original surface that is the edge as it came")] public double SurfaceEdge { get; init; } = 0.1;
    [Assumed("", "share of the original surface that is machining marks, or the worn face of a wooden "
        + "sole")] public double SurfaceMachining { get; init; } = 0.1;
    [Assumed("", "share of the original surface that is brown brass")] public double SurfaceBrass { get; init; } = 0.05;
    [Assumed("", "share of the original surface that is a joint of the works")] public double SurfaceJoint { get; init; } = 0.05;
    [Assumed("h", "enamel takes its next coat from", Heading = "Coats, glue and the next look")] public double EnamelRecoatFromHours { get; init; } = 4;
    [Assumed("h", "enamel takes its next coat until")] public double EnamelRecoatUntilHours { get; init; } = 24;
    [Assumed("h", "enamel has cured")] public double EnamelCureHours { get; init; } = 48;
    [Assumed("h", "primer takes its next coat from")] public double PrimerRecoatFromHours { get; init; } = 1;
    [Assumed("h", "primer takes its next coat until")] public double PrimerRecoatUntilHours { get; init; } = 24;
    [Assumed("h", "oil on wood takes its next coat")] public double OilRecoatHours { get; init; } = 24;
    [Assumed("times", "wood that is dipped drinks so many times what a coat takes")] public double RawOilTimes { get; init; } = 4;
    [Assumed("h", "wood stands in raw linseed oil")] public double RawOilDipHours { get; init; } = 12;
    [Assumed("days", "raw linseed oil in wood is dry to the hand")] public double RawOilDryDays { get; init; } = 14;
    [Assumed("min", "boiled linseed oil is wiped off from")] public double OilWipeFromMin { get; init; } = 10;
    [Assumed("min", "boiled linseed oil is wiped off by")] public double OilWipeUntilMin { get; init; } = 15;
    [Assumed("h", "shellac takes its next coat")] public double ShellacRecoatHours { get; init; } = 1;
    [Assumed("h", "lacquer takes its next coat")] public double LacquerRecoatHours { get; init; } = 0.75;
    [Assumed("h", "shellac has cured hard enough to handle")] public double ShellacCureHours { get; init; } = 12;
    [Assumed("h", "lacquer has cured hard enough to handle")] public double LacquerCureHours { get; init; } = 18;
    [Assumed("h", "enamel that missed its window takes a coat again, rubbed down, from")] public double EnamelAgainHours { get; init; } = 72;
    [Assumed("min", "japan flashes off before the oven")] public double JapanFlashOffMin { get; init; } = 30;
    [Assumed("h", "a coat of japan in the oven: up, held, and down with the door shut")] public double JapanOvenHours { get; init; } = 3.5;
    [Assumed("min", "stain on wood is dry")] public double StainDryMin { get; init; } = 60;
    [Assumed("min", "wax hazes before it is buffed")] public double WaxHazeMin { get; init; } = 10;
    [Assumed("h", "glue has cured")] public double GlueCureHours { get; init; } = 24;
    [Assumed("min", "hot hide glue stays open")] public double HotHideOpenMin { get; init; } = 1;
    [Assumed("h", "hot hide glue stays clamped")] public double HotHideClampedHours { get; init; } = 6;
    [Assumed("min", "liquid hide glue stays open")] public double LiquidHideOpenMin { get; init; } = 10;
    [Assumed("h", "liquid hide glue stays clamped")] public double LiquidHideClampedHours { get; init; } = 12;
    [Assumed("min", "wood glue stays open")] public double WoodGlueOpenMin { get; init; } = 6;
    [Assumed("h", "wood glue stays clamped")] public double WoodGlueClampedHours { get; init; } = 1;
    [Assumed("°C", "wood glue does not hold below")] public double WoodGlueLeastC { get; init; } = 8;
    [Assumed("min", "slow epoxy stays open")] public double SlowEpoxyOpenMin { get; init; } = 45;
    [Assumed("h", "slow epoxy stays clamped")] public double SlowEpoxyClampedHours { get; init; } = 10;
    [Assumed("min", "quick epoxy stays open")] public double QuickEpoxyOpenMin { get; init; } = 4;
    [Assumed("h", "quick epoxy stays clamped")] public double QuickEpoxyClampedHours { get; init; } = 0.5;
    [Assumed("h", "quick epoxy has cured")] public double QuickEpoxyCureHours { get; init; } = 12;
    [Assumed("min", "metal-filled epoxy stays open")] public double MetalEpoxyOpenMin { get; init; } = 20;
    [Assumed("h", "metal-filled epoxy stays clamped")] public double MetalEpoxyClampedHours { get; init; } = 5;
    [Assumed("min", "contact cement dries before it is pressed")] public double ContactDryMin { get; init; } = 20;
    [Assumed("mm", "play of a wrench jaw that does no harm")] public double JawPlayMm { get; init; } = 0.5;
    [Assumed("mm", "a frog that rocks by more takes much rubbing")] public double FrogRockMm { get; init; } = 0.05;
    [Assumed("", "a corrugated sole takes this share of the minutes of a plain one: less metal")] public double CorrugatedShare { get; init; } = 0.7;
    [Assumed("mm", "a rod is shortened by the gap and this much more")] public double RodClearanceMm { get; init; } = 0.8;
    [Assumed("months", "a tool in use is looked at again")] public double NextLookMonths { get; init; } = 6;

    [Assumed("mm", "a length judged by eye may be off by this", Heading = "Instruments")] public double EyeMm { get; init; } = 1;
    [Assumed("mm", "a steel rule reads to this")] public double RuleMm { get; init; } = 0.25;
    [Assumed("mm", "a caliper reads to this")] public double CaliperMm { get; init; } = 0.03;
    [Assumed("mm", "feeler gauges read to this")] public double FeelerMm { get; init; } = 0.02;
    [Assumed("deg", "a protractor reads to this")] public double ProtractorDeg { get; init; } = 0.5;
    [Assumed("mm", "an indicator reads to this")] public double IndicatorMm { get; init; } = 0.005;

    [Assumed("mm", "liquid over the highest part", Heading = "Baths")] public double BathCoverMm { get; init; } = 15;
    [Assumed("mm", "free rim above the liquid")] public double BathRimMm { get; init; } = 20;
    [Assumed("mm", "room a part needs at the ends of a bath")] public double BathEndRoomMm { get; init; } = 10;
    [Assumed("mm", "overlap when a long part is turned")] public double BathOverlapMm { get; init; } = 15;
    [Assumed("mm", "room between parts in a bath, so that nothing touches")] public double BathGapMm { get; init; } = 5;
    [Assumed("", "a bath of which less than this share is used is called fresh")] public double BathFreshShare { get; init; } = 0.03;
    [Assumed("", "from this share used on a bath is said to be slow")] public double BathSlowShare { get; init; } = 0.5;
    [Assumed("", "from this share used on a bath is said to be near its end")] public double BathEndShare { get; init; } = 0.8;
    [Assumed("", "share of the rust left that is as good as none")] public double LookCleanShare { get; init; } = 0.02;
    [Assumed("", "with so much of the rust left, bubbles come from bare metal")] public double LookBareShare { get; init; } = 0.3;
    [Assumed("", "with so much of the rust left, grease may be in the way")] public double LookStuckShare { get; init; } = 0.9;
    [Assumed("dm2/min", "a small gun clears so much rust in one pass")] public double BlastDm2Min { get; init; } = 1.5;
    [Assumed("", "share of what a compressor says it draws in that it delivers")] public double FreeAirShare { get; init; } = 0.65;
    [Assumed("", "share of the theoretical capacity a bath gives in practice")] public double BathCapacityShare { get; init; } = 0.5;
    [Assumed("", "iron in rust by mass")] public double IronInRust { get; init; } = 0.6;
    [Assumed("g/cm3", "density of rust as it grows")] public double RustDensity { get; init; } = 2.6;
    [Assumed("A/dm2", "current density at electrolysis")] public double ElectrolysisADm2 { get; init; } = 0.5;
    [Assumed("g/L", "washing soda at electrolysis")] public double WashingSodaGL { get; init; } = 12;
    [Assumed("o'clock", "night begins")] public int NightFromHour { get; init; } = 22;
    [Assumed("o'clock", "night ends")] public int NightToHour { get; init; } = 7;

    [Assumed("N", "hand pressure when lapping", Heading = "Lapping")] public double LappingForceN { get; init; } = 60;
    [Assumed("", "times as long as usual it takes to lap pits out of a sole")] public double PitLapTimes { get; init; } = 2;
    [Assumed("days", "wood with live worm stays frozen")] public double WormFreezeDays { get; init; } = 14;
    [Assumed("N/mm3", "stiffness of paper on glass")] public double StiffnessGlass { get; init; } = 2;
    [Assumed("N/mm3", "stiffness of paper on fibreboard")] public double StiffnessMdf { get; init; } = 0.6;
    [Assumed("lines", "an instrument stands still when so many of its lines agree")] public int IndicatorSteadyLines { get; init; } = 5;
    [Assumed("mm", "and agree within")] public double IndicatorSteadyMm { get; init; } = 0.002;
    [Assumed("mm", "it was moved to another place when its lines differ by more than")] public double IndicatorMovedMm { get; init; } = 0.02;
    [Assumed("mm", "a reading so far from the others is none of this sole")] public double IndicatorWildMm { get; init; } = 3;
    [Assumed("um", "wear that takes a mark away")] public double MarkGoneUm { get; init; } = 1.5;
    [Assumed("um", "wear that makes a mark faint")] public double MarkFaintUm { get; init; } = 0.3;
    [Assumed("", "share of the fields that are misread when marks are looked at")] public double MarkMisread { get; init; } = 0.05;
    [Assumed("", "chance of a shape from which on marks are believed")] public double MarksSureShare { get; init; } = 0.75;
    [Assumed("strokes", "marks on a sole nobody knows are first looked at after")] public double LookStrokesFirst { get; init; } = 30;
    [Assumed("strokes", "a look at the marks comes after at least")] public double LookStrokesLeast { get; init; } = 20;
    [Assumed("strokes", "and after at most")] public double LookStrokesMost { get; init; } = 100;
    [Assumed("", "share of the strokes still wanted until the next look")] public double LookStrokesShare { get; init; } = 0.25;
    [Assumed("1/min", "strokes a minute")] public double StrokesPerMinute { get; init; } = 60;
    [Assumed("strokes", "a sole takes so many strokes for each that is foretold")] public double LapStrokesTimes { get; init; } = 1;
    [Assumed("strokes", "a sheet of P80 or finer lasts")] public double StrokesPerFineSheet { get; init; } = 600;
    [Assumed("strokes", "a coarser sheet lasts")] public double StrokesPerCoarseSheet { get; init; } = 400;
    [Assumed("", "share of the strokes that are on the coarse paper")] public double LapCoarseShare { get; init; } = 0.6;
    [Assumed("", "share of the strokes that are on the middle paper")] public double LapMiddleShare { get; init; } = 0.25;
    [Assumed("", "share of a zone's marks that must go")] public double ZoneCleanShare { get; init; } = 0.8;
    [Assumed("times", "a sole that never quite comes in is given so many times the usual lapping")] public double LapMostTimes { get; init; } = 5;
    [Assumed("", "share of hand sanding that is strokes, not wiping and looking")] public double SandingStrokesShare { get; init; } = 0.67;
    [Assumed("", "share of the strokes of hand sanding that is the coarser paper's")] public double SandingCoarseShare { get; init; } = 0.5;
    [Assumed("mm", "how much a sole that was not surveyed is usually out of flat")] public double UsualHollowMm { get; init; } = 0.1;
    [Assumed("", "share of lapping that is left after it was lapped roughly")] public double AfterRoughShare { get; init; } = 0.6;
    [Assumed("", "a plate must be this much longer than the sole")] public double PlateLengthFactor { get; init; } = 1.2;

    [Assumed("mm3/min", "hardened steel on the bench grinder", Heading = "Grinding and edges")] public double GrinderRate { get; init; } = 250;
    [Assumed("s", "contact before a dip")] public double DipEverySeconds { get; init; } = 4;
    [Assumed("s", "length of a dip")] public double DipSeconds { get; init; } = 3;
    [Assumed("mm3/min", "hardened steel on the belt")] public double BeltRate { get; init; } = 400;
    [Assumed("mm3/min", "hardened steel on P100 on glass")] public double GlassRate { get; init; } = 8;
    [Assumed("mm3/min", "hardened steel on a coarse diamond plate")] public double DiamondRate { get; init; } = 5;
    [Assumed("mm", "a pit nearer the edge than this can stop a restoration")] public double StoppingPitWithinMm { get; init; } = 12;
    [Assumed("mm", "a pit deeper than this can stop a restoration")] public double StoppingPitDepthMm { get; init; } = 0.02;
    [Assumed("min", "setting up for the shim")] public double ShimSetupMinutes { get; init; } = 2;
    [Assumed("deg", "steepest back bevel from a shim")] public double ShimLimitDeg { get; init; } = 5;
    [Assumed("mm", "clean steel past the last pit")] public double GrindPastPitMm { get; init; } = 0.5;
    [Assumed("", "sharpenings that make an iron worth saving")] public double SharpeningsWorthSaving { get; init; } = 20;
    [Assumed("mm", "secondary bevel that asks for a regrind")] public double RegrindLandMm { get; init; } = 2;
    [Assumed("deg", "clearance below which to warn")] public double ClearanceWarnDeg { get; init; } = 10;
    [Assumed("deg", "an axe ground more acute than this is keen and frail")] public double WedgeKeenDeg { get; init; } = 24;
    [Assumed("deg", "an axe ground blunter than this is stout")] public double WedgeStoutDeg { get; init; } = 35;
    [Assumed("mm", "a blade is measured so far behind its edge")] public double BladeReachMm { get; init; } = 10;
    [Assumed("times", "a tight mouth is open by so many shavings at least")] public double MouthTightLeastTimes { get; init; } = 3;
    [Assumed("times", "a tight mouth is open by so many shavings at most")] public double MouthTightMostTimes { get; init; } = 4;
    [Assumed("mm", "a mouth for all round work is open")] public double MouthMiddleMm { get; init; } = 1;
    [Assumed("mm", "a mouth for thick shavings is open")] public double MouthOpenMm { get; init; } = 2;
    [Assumed("", "mouth and cap iron may be set otherwise than wanted by this share")] public double SettingShare { get; init; } = 0.2;
    [Assumed("mm", "a cap iron hard up sits behind the edge, at least")] public double CapHardLeastMm { get; init; } = 0.2;
    [Assumed("mm", "a cap iron hard up sits behind the edge, at most")] public double CapHardMostMm { get; init; } = 0.4;
    [Assumed("mm", "a cap iron for all round work sits behind the edge")] public double CapMiddleMm { get; init; } = 1;
    [Assumed("mm", "a cap iron for thick shavings sits behind the edge")] public double CapBackMm { get; init; } = 2;
    [Assumed("mm", "an iron needs room across to be set straight")] public double IronPlayMm { get; init; } = 0.5;
    [Assumed("mm", "a yoke must reach past the iron by")] public double YokeHoldMm { get; init; } = 1;
    [Assumed("mm", "a cap iron's screw must be longer than the iron is thick by")] public double CapScrewHoldMm { get; init; } = 2;
    [Assumed("um", "an etch is rubbed with no coarser grain than")] public double EtchCoarsestUm { get; init; } = 36;
    [Assumed("mm", "teeth of a toothed iron stay deeper than")] public double ToothedLeastMm { get; init; } = 0.2;
    [Assumed("", "a chip nobody measured takes this share of the face")] public double ChipShare { get; init; } = 0.2;
    [Assumed("", "a chip over more of the face leaves too little to cut with")] public double ChipMostShare { get; init; } = 1 / 3.0;
    [Assumed("s", "a pair whose spring takes longer to open it is drawn up too far")] public double OpeningSlowS { get; init; } = 1.5;
    [Assumed("times", "a burr is turned anew before its bevel is filed again")] public double BurrRenewals { get; init; } = 6;
    [Assumed("mm", "a stone nobody measured is so wide")] public double UsualStoneMm { get; init; } = 50;
    [Assumed("N", "an edge is pressed on its stone with")] public double HoningForceN { get; init; } = 15;
    [Assumed("deg", "the first pass of a burnisher")] public double BurrFirstDeg { get; init; } = 5;
    [Assumed("deg", "the last pass of a burnisher")] public double BurrLastDeg { get; init; } = 15;
    [Assumed("deg", "the filed bevel of a scraper in a plane")] public double ScraperBevelDeg { get; init; } = 45;

    [Assumed("jobs", "the book's minutes weigh as much as so many jobs of one's own", Heading = "Pace")] public double PaceWeight { get; init; } = 3;
    [Assumed("", "spread of the minutes of a step, as a standard deviation of their logarithm")] public double PaceSpread { get; init; } = 0.5;

    [Assumed("", "chance that a trouble has a cause not on the list", Heading = "Proof and trouble")] public double TroubleLeak { get; init; } = 0.1;
    [Assumed("mm", "shaving of a smoothing or block plane that is fine enough")] public double FineShavingMm { get; init; } = 0.05;
    [Assumed("mm", "shaving of a try plane that is fine enough")] public double TryShavingMm { get; init; } = 0.1;
    [Assumed("mm", "shaving of a jack plane or spokeshave that is fine enough")] public double JackShavingMm { get; init; } = 0.2;
    [Assumed("mm", "scraping of a scraper plane that is fine enough")] public double ScrapingMm { get; init; } = 0.04;
    [Assumed("mm", "how far a groove may be out of depth")] public double GrooveOutMm { get; init; } = 0.3;
    [Assumed("mm", "how far a hand saw may leave its line through a board")] public double HandSawDriftMm { get; init; } = 1;
    [Assumed("mm", "how far the floor of a routed trench may be out of level")] public double TrenchOutMm { get; init; } = 0.1;
    [Assumed("mm", "a spanner's jaw may be wider at its tips by this")] public double JawSpreadMm { get; init; } = 0.2;
    [Assumed("mm", "how far a back saw may leave its line through a board")] public double BackSawDriftMm { get; init; } = 0.5;
    [Assumed("mm", "run-out of a hand drill that still drills round")] public double RunOutMm { get; init; } = 0.4;
    [Assumed("mm", "light under the edge of a cap iron that lets no shaving in")] public double CapLightMm { get; init; } = 0.025;
    [Assumed("mm", "gap of closed cutter jaws that still cuts")] public double JawGapMm { get; init; } = 0.1;
}

/// <summary>Rounding rules that hold everywhere.</summary>
public static class Whole
{
    /// <summary>Slack on thresholds of computed values.</summary>
    public const double Slack = 1e-9;

    /// <summary>Whole number down, so that 119.999... counts as 120.</summary>
    public static int Floor(double x) => (int)Math.Floor(x + Slack);

    /// <summary>Whole number up, so that 2.000...1 counts as 2.</summary>
    public static int Ceiling(double x) => (int)Math.Ceiling(x - Slack);
}
