namespace Foundling.Core.Stores;

/// <summary>What sort of thing the shop keeps.</summary>
public enum SupplyClass
{
    /// <summary>Baths, cleaners, solvents and lubricants.</summary>
    Chemical,

    /// <summary>What is put on to stay: coats, waxes, oils for wood, glues.</summary>
    Finish,

    /// <summary>What cuts or polishes, used up or not.</summary>
    Abrasive,

    /// <summary>Other things that are used up.</summary>
    Sundry,

    /// <summary>Parts and blanks for parts.</summary>
    Spare,

    /// <summary>Tools and gear that are used again and again.</summary>
    Kit,
}

/// <summary>What sorts of things are called, in the order they are shown.</summary>
public static class SupplyClasses
{
    /// <summary>All of them, with a heading each.</summary>
    public static IReadOnlyList<(SupplyClass Class, string Heading)> All { get; } =
    [
        (SupplyClass.Chemical, "Baths, cleaners, lubricants"),
        (SupplyClass.Finish, "Coats, waxes, glues"),
        (SupplyClass.Abrasive, "Abrasives"),
        (SupplyClass.Sundry, "Sundries"),
        (SupplyClass.Spare, "Parts and blanks"),
        (SupplyClass.Kit, "Kit"),
    ];

    /// <summary>The heading of one of them.</summary>
    public static string Heading(SupplyClass @class) => All.First(c => c.Class == @class).Heading;
}
