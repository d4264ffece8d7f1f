using Foundling.Core.Units;

namespace Foundling.Core.Log;

/// <summary>When a clock cannot be right and the person is asked instead.</summary>
public static class ClockDoubts
{
    /// <summary>Times the likely minutes beyond which a clock is asked about.</summary>
    public const double MostTimesLikely = 3;

    /// <summary>Minutes below which a clock is never asked about.</summary>
    public const double LeastMinutes = 60;

    /// <summary>Why a reading may not be right, or null when it can be.</summary>
    /// <param name="minutes">Minutes since the clock started; below 0 when the system clock was put back.</param>
    /// <param name="likelyMin">Minutes the step takes most often; null when it is not known.</param>
    /// <param name="counted">True when the minutes were counted while the program ran, so that no change of the system clock is in them.</param>
    public static string? Of(double minutes, double? likelyMin, bool counted)
    {
        if (minutes < 0)
        {
            return "The computer's clock was put back while this ran. How many minutes did it take?";
        }
        if (minutes < Math.Max(LeastMinutes, MostTimesLikely * (likelyMin ?? 0)))
        {
            return null;
        }
        string book = likelyMin is double likely and > 0 ? $"; the book says {Typed.Hours(likely)}" : "";
        return $"The clock ran for {Typed.Hours(minutes)}{book}{(counted ? "" : ", and the program was started anew meanwhile")}. How many minutes did it "
            + "really take?";
    }
}
