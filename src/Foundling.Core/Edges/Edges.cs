namespace Foundling.Core.Edges;

/// <summary>Thickness of an iron with the length of its bevel face, its bevel angle, or both to be compared.</summary>
public sealed record BevelInput(double ThicknessMm, double? BevelFaceMm = null, double? BevelDeg = null);

/// <summary>Bevel angle from the face that was measured, and bevel face from the angle that was given; null for what was not.</summary>
public sealed record BevelResult(double? BevelDeg, double? BevelFaceMm = null);

/// <summary>Thickness of a blade a little behind its edge, mm.</summary>
public sealed record KnifeAngleInput(double ThicknessMm, double DistanceBehindEdgeMm, bool OneSided = false);

/// <summary>Angle between the faces, degrees.</summary>
public sealed record KnifeAngleResult(double IncludedAngleDeg);

/// <summary>Angles an iron is used at, degrees.</summary>
public sealed record AnglesInput(double BedDeg, double BevelDeg, double? SecondaryBevelDeg = null, double BackBevelDeg = 0, bool BevelUp = false);

/// <summary>Angle at which the wood meets the iron and the room behind the edge, degrees.</summary>
public sealed record AnglesResult(double CuttingAngleDeg, double ClearanceDeg, string Verdict);

/// <summary>Camber of an edge: wanted sagitta, or the shaving that shall vanish at the corners, mm.</summary>
public sealed record CamberInput(double WidthMm, double? SagittaMm = null, double? ShavingMm = null, double? BedDeg = null);

/// <summary>Camber as sagitta and radius, mm.</summary>
public sealed record CamberResult(double SagittaMm, double RadiusMm);

/// <summary>Honing since the last grind.</summary>
public sealed record SecondaryBevelInput(double BevelDeg, double SecondaryBevelDeg, double ThicknessMm, int Honings);

/// <summary>The land the secondary bevel has grown to, mm.</summary>
public sealed record SecondaryBevelResult(double HonedBackMm, double LandMm, double BevelFaceLimitMm, bool RegrindDue);

/// <summary>Changes that open or close a mouth, mm.</summary>
public sealed record MouthInput(double BedDeg, double MouthMm, double IronThickerMm = 0, double FrogForwardMm = 0, bool BevelUp = false);

/// <summary>Mouth after the change, mm.</summary>
public sealed record MouthResult(double ClosesMm, double NewMouthMm, bool EdgeFouls);

/// <summary>A cutter whose jaws meet at stops.</summary>
public sealed record StopJawsInput(double FaceLossEachMm, double PivotToJawFaceMm, double PivotToStopMm);

/// <summary>How far the jaws now stop short and what each stop must lose, mm.</summary>
public sealed record StopJawsResult(double JawsStopShortMm, double StopLossEachMm);

/// <summary>An edge out of square, mm.</summary>
public sealed record SquareUpInput(double WidthMm, double ThicknessMm, double OutOfSquareMm, GrindOn On = GrindOn.BenchGrinder);

/// <summary>Metal to take off and the minutes it takes.</summary>
public sealed record SquareUpResult(double VolumeMm3, double Minutes);

/// <summary>What hardened steel is taken off with.</summary>
public enum GrindOn
{
    /// <summary>Bench grinder, with dips.</summary>
    BenchGrinder,

    /// <summary>Belt.</summary>
    Belt,

    /// <summary>P100 paper on glass.</summary>
    P100OnGlass,

    /// <summary>Coarse diamond plate.</summary>
    CoarseDiamond,
}

/// <summary>Geometry of cutting edges.</summary>
public static class Edge
{
    internal static double Rad(double degrees) => degrees * Math.PI / 180;

    internal static double Deg(double radians) => radians * 180 / Math.PI;

    /// <summary>Bevel angle asin(t / b) from the face b and the thickness t, and the face t / sin(beta) from the angle.</summary>
    public static BevelResult Bevel(BevelInput input)
    {
        double t = Check.Positive(input.ThicknessMm);
        if (input is { BevelFaceMm: null, BevelDeg: null })
        {
            throw new InputException("required", "bevel_face_mm", null, "the bevel face or the bevel angle",
                "Give the length of the bevel face, the bevel angle, or both to compare them.");
        }
        if (input.BevelFaceMm is double face && Check.Positive(face, "bevel_face_mm") < t - Whole.Slack)
        {
            throw new InputException("bevel_face_shorter_than_thickness", "bevel_face_mm", face, $"{t:0.###} or more",
                $"A bevel face of {face:0.###} mm cannot be shorter than the iron is thick ({t:0.###} mm).");
        }
        return new BevelResult(
            input.BevelFaceMm is double b ? Deg(Math.Asin(Math.Min(1, t / b))) : null,
            input.BevelDeg is double beta ? t / Math.Sin(Rad(Check.Between(beta, 0, 90, "bevel_deg"))) : null);
    }

    /// <summary>Angle of a knife or axe from its thickness behind the edge.</summary>
    public static KnifeAngleResult KnifeAngle(KnifeAngleInput input)
    {
        double t = Check.Positive(input.ThicknessMm), x = Check.Positive(input.DistanceBehindEdgeMm);
        return new KnifeAngleResult(Deg(input.OneSided ? Math.Atan(t / x) : 2 * Math.Atan(t / (2 * x))));
    }

    /// <summary>Cutting angle and clearance; warns below ten degrees, refuses at none.</summary>
    public static AnglesResult Angles(AnglesInput input, Assumptions assumptions)
    {
        Check.Between(input.BedDeg, 0, 180);
        Check.Between(input.BevelDeg, 0, 90);
        Check.Within(input.BackBevelDeg, 0, 45);
        double bevel = Check.Between(input.SecondaryBevelDeg ?? input.BevelDeg, 0, 90, "secondary_bevel_deg");
        double cutting = input.BevelUp ? input.BedDeg + bevel : input.BedDeg + input.BackBevelDeg;
        double clearance = input.BevelUp ? input.BedDeg - input.BackBevelDeg : input.BedDeg - bevel;
        double warn = assumptions.ClearanceWarnDeg;
        return new AnglesResult(cutting, clearance, clearance <= Whole.Slack ? "refuse" : clearance < warn - Whole.Slack ? "warn" : "ok");
    }

    /// <summary>Radius of a cambered edge, for a sagitta or for shavings that vanish at the corners.</summary>
    public static CamberResult Camber(CamberInput input)
    {
        double w = Check.Positive(input.WidthMm);
        double c = input.SagittaMm is double given ? Check.Positive(given, "sagitta_mm")
            : input is { ShavingMm: double shaving, BedDeg: double bed } ? Check.Positive(shaving,
                "shaving_mm") / Math.Sin(Rad(Check.Between(bed, 0, 180, "bed_deg")))
            : throw new InputException("required", "sagitta_mm", null, "a sagitta, or a shaving and the bed angle",
                "Give the sagitta, or the shaving thickness and the bed angle.");
        return new CamberResult(c, ((w * w / 4) + (c * c)) / (2 * c));
    }

    /// <summary>How far a secondary bevel has grown since the last grind.</summary>
    public static SecondaryBevelResult SecondaryBevel(SecondaryBevelInput input, Assumptions assumptions)
    {
        Assumptions a = assumptions;
        double beta1 = Check.Between(input.BevelDeg, 0, 90), beta2 = Check.Between(input.SecondaryBevelDeg, 0, 90);
        if (beta2 <= beta1)
        {
            throw new InputException("secondary_not_steeper", "secondary_bevel_deg", beta2, $"more than {beta1:0.##}",
                $"A secondary bevel of {beta2:0.##}° must be steeper than the bevel of {beta1:0.##}°.");
        }
        double honed = Check.NotNegative(input.Honings) * a.LossPerHoningMm;
        double limit = Check.Positive(input.ThicknessMm) / Math.Sin(Rad(beta2));
        double land = Math.Min(limit, honed * Math.Sin(Rad(beta1)) / Math.Sin(Rad(beta2 - beta1)));
        return new SecondaryBevelResult(honed, land, limit, land > a.RegrindLandMm + Whole.Slack);
    }

    /// <summary>Mouth after a thicker iron and a frog moved forward.</summary>
    public static MouthResult Mouth(MouthInput input)
    {
        double bed = Check.Between(input.BedDeg, 0, 180);
        double closes = (input.BevelUp ? 0 : Check.Finite(input.IronThickerMm) / Math.Sin(Rad(bed))) + Check.Finite(input.FrogForwardMm);
        double mouth = Check.NotNegative(input.MouthMm) - closes;
        return new MouthResult(closes, mouth, mouth <= Whole.Slack);
    }

    /// <summary>What the stops of a cutter must lose when its jaw faces are dressed.</summary>
    public static StopJawsResult StopJaws(StopJawsInput input)
    {
        double d = Check.NotNegative(input.FaceLossEachMm);
        return new StopJawsResult(2 * d, d * Check.Positive(input.PivotToStopMm) / Check.Positive(input.PivotToJawFaceMm));
    }

    /// <summary>Metal and minutes to square an edge.</summary>
    public static SquareUpResult SquareUp(SquareUpInput input, Assumptions assumptions)
    {
        double volume = Check.Positive(input.WidthMm) * Check.NotNegative(input.OutOfSquareMm) * Check.Positive(input.ThicknessMm) / 2;
        return new SquareUpResult(volume, Minutes(volume, input.On, assumptions));
    }

    /// <summary>Minutes to take off hardened steel; the bench grinder dips after every few seconds of contact.</summary>
    public static double Minutes(double volumeMm3, GrindOn on, Assumptions a)
    {
        double minutes = volumeMm3 / Rate(on, a);
        return on == GrindOn.BenchGrinder ? minutes + (Whole.Ceiling(minutes * 60 / a.DipEverySeconds) * a.DipSeconds / 60) : minutes;
    }

    /// <summary>Hardened steel taken off in a minute of contact, mm³.</summary>
    public static double Rate(GrindOn on, Assumptions a) => on switch
    {
        GrindOn.BenchGrinder => a.GrinderRate,
        GrindOn.Belt => a.BeltRate,
        GrindOn.P100OnGlass => a.GlassRate,
        _ => a.DiamondRate,
    };
}
