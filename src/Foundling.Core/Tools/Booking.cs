namespace Foundling.Core.Tools;

/// <summary>What is asked of a kind of tool when it is booked in: only what it has.</summary>
public static class Booking
{
    /// <summary>What its width measures, or null for a kind that has no width worth noting.</summary>
    public static string? WidthIs(ToolKind kind) => kind.File.Width;

    /// <summary>True where a sole is measured, with its mouth, and what it is for decides how flat it must be.</summary>
    public static bool HasSole(ToolKind kind) => kind.HasMetalSole || kind.HasWoodenSole;

    /// <summary>True where it matters for which hand it was made.</summary>
    public static bool IsHanded(ToolKind kind) => kind.File.Handed;
}
