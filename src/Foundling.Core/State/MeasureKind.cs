using Foundling.Core.Units;

namespace Foundling.Core.State;

/// <summary>A kind of measurement that makes sense on a part.</summary>
/// <param name="Id">Key.</param>
/// <param name="Name">What is measured, in words.</param>
/// <param name="With">Instrument it is usually taken with.</param>
/// <param name="Unit">What it is counted in.</param>
public sealed record MeasureKind(MeasureId Id, string Name, Instrument With, Unit Unit = Unit.Millimetres)
{
    private const double MostMm = 5000, MostDeg = 90, MostPieces = 100_000;

    /// <summary>True for a number of things rather than a length.</summary>
    public bool IsCount => With == Instrument.Count;

    /// <summary>Reads what was typed as a reading of this kind, in its unit.</summary>
    /// <param name="text">What was typed.</param>
    /// <param name="field">The field it was typed into.</param>
    /// <param name="units">What a bare length is in.</param>
    /// <param name="times">How many units of this kind one of the field is.</param>
    /// <exception cref="InputException">No such reading, or one nothing has.</exception>
    public double Read(string? text, string field, LengthUnits units, double times = 1) => Unit switch
    {
        Unit.Millimetres => Check.Within(Length.Parse(text, field, units), 0, MostMm, field),
        Unit.Degrees => Check.Within(Number(text, field), 0, MostDeg, field),
        Unit.PointsPerInch => Check.Within(Number(text, field), 0, MostPieces, field),
        _ when times == 1 && Number(text, field) is var n && n != Math.Round(n) =>
            throw new InputException("not_whole", field, text, "a whole number", $"\"{Shorten.To(text, Length.MostLetters)}\" is not a whole number."),
        _ => Math.Round(Check.Within(Number(text, field) * times, 0, MostPieces, field)),
    };

    private static double Number(string? text, string field) => Typed.NumberOrNull(text, field)
        ?? throw new InputException("not_a_number", field, text, "a number", "Write the reading.");
}
