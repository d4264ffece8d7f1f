namespace Foundling.Core;

// Each figure says what it is in its attribute, which the program shows; a comment would only repeat it.
#pragma warning disable CS1591

/// <content>Figures of baths, soles, lapping, and of what nobody measured.</content>
public sealed partial record Assumptions
{
    [Assumed("h", "a chelating bath takes light rust off at 20 °C", Heading = "Rust and soaking")] public double SoakChelatingLightHours { get; init; } = 4;
    [Assumed("h", "a chelating bath takes medium rust off at 20 °C")] public double SoakChelatingMediumHours { get; init; } = 10;
    [Assumed("h", "a chelating bath takes heavy rust off at 20 °C")] public double SoakChelatingHeavyHours { get; init; } = 24;
    [Assumed("h", "citric acid of 5 % takes light rust off at 20 °C")] public double SoakCitricLightHours { get; init; } = 1.5;
    [Assumed("h", "citric acid of 5 % takes medium rust off at 20 °C")] public double SoakCitricMediumHours { get; init; } = 5;
    [Assumed("h", "citric acid of 5 % takes heavy rust off at 20 °C")] public double SoakCitricHeavyHours { get; init; } = 12;
    [Assumed("h", "vinegar of 5 % takes light rust off at 20 °C")] public double SoakAceticLightHours { get; init; } = 6;
    [Assumed("h", "vinegar of 5 % takes medium rust off at 20 °C")] public double SoakAceticMediumHours { get; init; } = 14;
    [Assumed("h", "vinegar of 5 % takes heavy rust off at 20 °C")] public double SoakAceticHeavyHours { get; init; } = 24;
    [Assumed("h", "phosphoric acid of 10 % takes light rust off at 20 °C")] public double SoakPhosphoricLightHours { get; init; } = 0.3;
    [Assumed("h", "phosphoric acid of 10 % takes medium rust off at 20 °C")] public double SoakPhosphoricMediumHours { get; init; } = 0.7;
    [Assumed("h", "phosphoric acid of 10 % takes heavy rust off at 20 °C")] public double SoakPhosphoricHeavyHours { get; init; } = 1.5;
    [Assumed("h", "electrolysis takes light rust off at 20 °C")] public double SoakElectrolysisLightHours { get; init; } = 3;
    [Assumed("h", "electrolysis takes medium rust off at 20 °C")] public double SoakElectrolysisMediumHours { get; init; } = 8;
    [Assumed("h", "electrolysis takes heavy rust off at 20 °C")] public double SoakElectrolysisHeavyHours { get; init; } = 20;
    [Assumed("mm", "depth of light rust")] public double RustDepthLightMm { get; init; } = 0.02;
    [Assumed("mm", "depth of medium rust")] public double RustDepthMediumMm { get; init; } = 0.06;
    [Assumed("mm", "depth of heavy rust")] public double RustDepthHeavyMm { get; init; } = 0.15;
    [Assumed("min", "iron out of a chelating bath is oiled within")] public double OilWithinChelatingMin { get; init; } = 15;
    [Assumed("min", "iron out of acid is oiled within")] public double OilWithinAcidMin { get; init; } = 5;
    [Assumed("%", "damper than this bare iron must be oiled sooner, and a tool looked at again sooner")] public double DampPercent { get; init; } = 60;
    [Assumed("min", "readings of a thermometer are kept so often, sooner when they have moved")] public double AirEveryMin { get; init; } = 30;
    [Assumed("°C", "a reading that has moved so far is kept at once")] public double AirTellsC { get; init; } = 1;
    [Assumed("°C", "the shop's air follows its thermometer when the mean of a day is so far off")] public double AirFollowC { get; init; } = 2;
    [Assumed("%", "the same for its humidity")] public double AirFollowPercent { get; init; } = 8;
    [Assumed("%", "strength of an acid bath")] public double AcidPercent { get; init; } = 5;
    [Assumed("°C", "a bath mixed warm begins at")] public double WarmBathC { get; init; } = 45;
    [Assumed("", "a bath before the wheel is given this share of a soak")] public double SoakWheelShare { get; init; } = 0.5;
    [Assumed("", "more soaks than this are not worth it")] public int MostSoaks { get; init; } = 3;
    [Assumed("", "a bath is worth it for a part that can have this share of its soak")] public double SoakWorthShare { get; init; } = 0.6;
    [Assumed("", "parts lying in a tub fill this share of its floor")] public double BathPackedShare { get; init; } = 0.7;
    [Assumed("g", "a litre of chelating bath can take up so much iron")] public double ChelatingIronGL { get; init; } = 12;
    [Assumed("", "washing soda for electrolysis serves so many loads")] public int ElectrolyteLoads { get; init; } = 10;
    [Assumed("", "the metal body of a plane is iron for this share of the room it takes")] public double CastSolidShare { get; init; } = 0.35;
    [Assumed("g/cm3", "density of iron and steel")] public double IronDensity { get; init; } = 7.2;

    [Assumed("mm", "the whole sole of a smoothing plane is flat within", Heading = "Flat enough")] public double SoleSmoothingWholeMm { get; init; } = 0.04;
    [Assumed("mm", "toe, mouth and heel of a smoothing plane are in one plane within")] public double SoleSmoothingZonesMm { get; init; } = 0.02;
    [Assumed("mm", "the whole sole of a jack plane is flat within")] public double SoleJackWholeMm { get; init; } = 0.1;
    [Assumed("mm", "toe, mouth and heel of a jack plane are in one plane within")] public double SoleJackZonesMm { get; init; } = 0.05;
    [Assumed("mm", "the whole sole of a try plane is flat within")] public double SoleTryWholeMm { get; init; } = 0.06;
    [Assumed("mm", "toe, mouth and heel of a try plane are in one plane within")] public double SoleTryZonesMm { get; init; } = 0.03;
    [Assumed("mm", "the whole sole of a block plane is flat within")] public double SoleBlockWholeMm { get; init; } = 0.05;
    [Assumed("mm", "toe, mouth and heel of a block plane are in one plane within")] public double SoleBlockZonesMm { get; init; } = 0.03;
    [Assumed("mm", "the whole sole of a rebate plane is flat within")] public double SoleRebateWholeMm { get; init; } = 0.06;
    [Assumed("mm", "toe, mouth and heel of a rebate plane are in one plane within")] public double SoleRebateZonesMm { get; init; } = 0.03;
    [Assumed("mm", "the whole sole of a plane of no particular purpose is flat within")] public double SoleOtherWholeMm { get; init; } = 0.05;
    [Assumed("mm", "toe, mouth and heel of a plane of no particular purpose are in one plane within")] public double SoleOtherZonesMm { get; init; } = 0.03;
    [Assumed("mm", "a plane nobody said the purpose of is a jack plane from this length")] public double JackFromMm { get; init; } = 330;
    [Assumed("mm", "a plane nobody said the purpose of is a try plane from this length")] public double TryFromMm { get; init; } = 500;
    [Assumed("mm", "the back of an edge is flat within")] public double FaceBackMm { get; init; } = 0.02;
    [Assumed("mm", "the back of an iron is read so far behind its edge")] public double BackBehindEdgeMm { get; init; } = 25;
    [Assumed("mm", "the underside of a cap iron is straight at its edge within")] public double FaceCapMm { get; init; } = 0.02;
    [Assumed("mm", "the underside of a cap iron bears over so much behind its edge")] public double CapIronLandMm { get; init; } = 3;
    [Assumed("mm", "the face and the seat of a frog are flat within")] public double FaceFrogMm { get; init; } = 0.05;
    [Assumed("mm", "a cheek that guides is flat within")] public double FaceCheekMm { get; init; } = 0.05;
    [Assumed("mm", "the face of a jaw is flat within")] public double FaceJawMm { get; init; } = 0.1;
    [Assumed("um", "P60 takes off in 100 strokes of 200 mm at 10 kPa", Heading = "What paper takes off")] public double LapP60Um { get; init; } = 12;
    [Assumed("um", "P80 takes off in 100 strokes of 200 mm at 10 kPa")] public double LapP80Um { get; init; } = 9;
    [Assumed("um", "P120 takes off in 100 strokes of 200 mm at 10 kPa")] public double LapP120Um { get; init; } = 6;
    [Assumed("um", "P180 takes off in 100 strokes of 200 mm at 10 kPa")] public double LapP180Um { get; init; } = 4;
    [Assumed("um", "P240 takes off in 100 strokes of 200 mm at 10 kPa")] public double LapP240Um { get; init; } = 3;
    [Assumed("um", "P320 takes off in 100 strokes of 200 mm at 10 kPa")] public double LapP320Um { get; init; } = 2.2;
    [Assumed("um", "P400 takes off in 100 strokes of 200 mm at 10 kPa")] public double LapP400Um { get; init; } = 1.6;

    [Assumed("", "depth of the scratch that a grain leaves, as a share of its size",
        Heading = "From grit to grit")] public double ScratchShare { get; init; } = 0.08;
    [Assumed("um", "grain of the coarsest sheet that one laps on")] public double CoarsestSheetUm { get; init; } = 340;
    [Assumed("times", "a scratch is rubbed out by taking off so many times its depth")] public double ScratchTimes { get; init; } = 1.2;
    [Assumed("min", "changing to another abrasive")] public double GritChangeMin { get; init; } = 1.5;
    [Assumed("min", "cleaning off the last grit")] public double GritCleanMin { get; init; } = 1;
    [Assumed("times", "a step from grain to grain that is larger leaves scratches behind")] public double GritJumpTimes { get; init; } = 3.5;
    [Assumed("", "a worn sheet counts as this share of its grain")] public double WornSheetShare { get; init; } = 0.6;
    [Assumed("", "a stamp survives while no more than this share of its depth is taken off")] public double StampShare { get; init; } = 1 / 3.0;

    [Assumed("mm", "pits nobody measured, pin points against the light, are so deep")] public double PitPointsMm { get; init; } = 0.01;
    [Assumed("mm", "pits nobody measured that catch a fingernail are so deep")] public double PitNailMm { get; init; } = 0.05;
    [Assumed("mm", "deep pits nobody measured are so deep")] public double PitDeepMm { get; init; } = 0.15;
    [Assumed("mm", "pits nobody measured that weaken a part are so deep")] public double PitWeakMm { get; init; } = 0.4;
    [Assumed("mm", "a pit in an edge that nobody measured reaches so far back")] public double PitWideMm { get; init; } = 2;
    [Assumed("mm", "a crisp etch nobody measured is so deep")] public double EtchCrispMm { get; init; } = 0.025;
    [Assumed("mm", "a crisp stamp nobody measured is so deep")] public double StampCrispMm { get; init; } = 0.25;
    [Assumed("mm", "a worn stamp nobody measured is so deep")] public double StampWornMm { get; init; } = 0.12;
    [Assumed("mm", "a faint stamp nobody measured is so deep")] public double StampFaintMm { get; init; } = 0.04;
    [Assumed("mm", "a stamp that is only a shadow is so deep")] public double StampShadowMm { get; init; } = 0.015;

    [Assumed("", "least set a side, as a share of the plate", Heading = "Saws")] public double SetLeastShare { get; init; } = 0.15;
    [Assumed("", "most set a side for dry hardwood, as a share of the plate")] public double SetDryShare { get; init; } = 0.25;
    [Assumed("", "most set a side for green wood, as a share of the plate")] public double SetGreenShare { get; init; } = 0.35;
    [Assumed("mm", "a pass of the jointing file takes off")] public double JointingPassMm { get; init; } = 0.02;
    [Assumed("mm", "a plate is straight enough while no more light is under a straightedge along it than")] public double StraightSawMm { get; init; } = 0.5;

    [Assumed("mm", "an iron nobody measured is so thick", Heading = "Sizes nobody measured")] public double UsualIronMm { get; init; } = 2.1;
    [Assumed("deg", "the bed of a plane nobody measured")] public double UsualBedDeg { get; init; } = 45;
    [Assumed("deg", "a bevel nobody measured")] public double UsualBevelDeg { get; init; } = 25;
    [Assumed("deg", "a secondary bevel nobody measured")] public double UsualSecondaryDeg { get; init; } = 30;
    [Assumed("mm", "a mouth nobody measured")] public double UsualMouthMm { get; init; } = 1;
    [Assumed("mm", "mouth of a wooden smoothing plane, at most")] public double MouthSmoothingMm { get; init; } = 1.5;
    [Assumed("mm", "mouth of a wooden try plane, at most")] public double MouthTryMm { get; init; } = 2.5;
    [Assumed("mm", "mouth of a wooden jack plane, at most")] public double MouthJackMm { get; init; } = 6;
    [Assumed("mm", "mouth of another wooden plane, at most")] public double MouthOtherMm { get; init; } = 3;
    [Assumed("deg", "wear of a wooden mouth")] public double MouthWearDeg { get; init; } = 70;
    [Assumed("mm", "length of winding sticks")] public double UsualStickMm { get; init; } = 450;
    [Assumed("mm", "an iron nobody measured is so wide")] public double UsualIronWidthMm { get; init; } = 50;
    [Assumed("mL", "a bath nobody measured")] public double UsualBathMl { get; init; } = 5000;
    [Assumed("mm", "an edge is set back by")] public double UsualSetbackMm { get; init; } = 3.5;
    [Assumed("mm", "a sole nobody measured is so wide")] public double UsualSoleWidthMm { get; init; } = 60;

    [Assumed("", "a toe or heel is this share of the length of a sole", Heading = "Zones of a sole")] public double ZoneShare { get; init; } = 0.15;
    [Assumed("mm", "the zone in front of the mouth is so long")] public double MouthBandMm { get; init; } = 10;
    [Assumed("mm", "a reading with a bench indicator may be off by")] public double SurveyErrorMm { get; init; } = 0.004;
    [Assumed("mm", "a gap read with feelers may be off by")] public double FeelerErrorMm { get; init; } = 0.01;
    [Assumed("mm", "a plate nobody checked may be out of flat by")] public double SurveyPlateMm { get; init; } = 0.005;
    [Assumed("mm", "a sole that is more out of flat than this is asked about")] public double SurveyAskMm { get; init; } = 3;
    [Assumed("mm", "the slot of a mouth nobody measured is so long")] public double MouthSlotMm { get; init; } = 6;
    [Assumed("", "a mouth nobody measured is at this share of a short sole")] public double UsualMouthShareShort { get; init; } = 0.31;
    [Assumed("", "a mouth nobody measured is at this share of a long sole")] public double UsualMouthShareLong { get; init; } = 0.32;
    [Assumed("", "paper takes hardened steel off at this share of cast iron")] public double LapSteelShare { get; init; } = 0.3;
    [Assumed("times", "paper takes brass off faster than cast iron")] public double LapBrassTimes { get; init; } = 1.5;

    [Assumed("", "how strongly the time in acid follows its strength", Heading = "How baths go")] public double AcidStrengthPower { get; init; } = 0.7;
    [Assumed("1/h", "a bath of 5 L cools towards the room at this pace")] public double CoolingPerHour { get; init; } = 0.35;
    [Assumed("", "a spent bath still works at least at this share of its pace")] public double SpentLeastShare { get; init; } = 0.2;

    [Assumed("mL", "white spirit to wash a square decimetre", Heading = "How far materials go")] public double SolventMlDm2 { get; init; } = 6;
    [Assumed("dm2", "a cloth wipes")] public double ClothDm2 { get; init; } = 8;
    [Assumed("m2/L", "oil covers in a coat")] public double OilCoverM2L { get; init; } = 14;
    [Assumed("m2/L", "shellac covers in a coat")] public double ShellacCoverM2L { get; init; } = 12;
    [Assumed("m2/L", "paint covers in a coat")] public double PaintCoverM2L { get; init; } = 9;
    [Assumed("m2/L", "japan covers in a coat")] public double JapanCoverM2L { get; init; } = 8;
    [Assumed("g", "wax on a square decimetre")] public double WaxGDm2 { get; init; } = 0.3;
    [Assumed("mL", "stripper on a square decimetre")] public double StripperMlDm2 { get; init; } = 8;

    [Assumed("", "work stops paying at this share of what it buys", Heading = "Work and when to stop")] public double StopShare { get; init; } = 0.8;
    [Assumed("", "a stop later than this share of the work is no stop")] public double StopLastShare { get; init; } = 0.93;
    [Assumed("dm2", "a part with less surface is a small one, held between two fingers")] public double SmallPartDm2 { get; init; } = 0.15;
    [Assumed("", "so many parts are counted and looked at in taking them apart")] public int GlanceParts { get; init; } = 8;
    [Assumed("", "all steps of a tool go quick or slow together by this share")] public double CommonSpread { get; init; } = 0.25;
    [Assumed("times", "work on faces that are looked at takes so much longer when all must be even, for Show")]
    public double ShowTimes { get; init; } = 3;
    [Assumed("", "what should free a stuck joint does not help so often")] public double RungFailsShare { get; init; } = 0.4;
    [Assumed("", "a step takes this share of its likely minutes if all goes well")] public double OwnLowShare { get; init; } = 0.6;
    [Assumed("times", "a step takes so many times its likely minutes if it fights back")] public double OwnHighTimes { get; init; } = 2;

    [Assumed("min", "a stopper at the stall weighs as much as so much work", Heading = "What to look at next at the stall")]
    public double StallStopperMin { get; init; } = 240;
    [Assumed("min", "the first doubt at the stall weighs as much as so much work")] public double StallDoubtMin { get; init; } = 60;
    [Assumed("min", "a further doubt at the stall weighs as much as so much work")] public double StallFurtherDoubtMin { get; init; } = 15;
    [Assumed("", "a minute of work itself weighs so much at the stall")] public double StallMinuteShare { get; init; } = 0.15;
    [Assumed("times", "a bad answer is so much likelier once another has raised it")] public double StallRaisedTimes { get; init; } = 2.5;
}
