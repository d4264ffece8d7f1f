using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Tools;

namespace Foundling.Web.Pages.Tags;

/// <summary>What can be said about a finding, as it is typed.</summary>
public sealed class FindingForm
{
    /// <summary>What is wrong.</summary>
    public FindingKind? Kind { get; set; }

    /// <summary>How much, 0 to 4.</summary>
    public int? Severity { get; set; }

    /// <summary>The look it belongs to.</summary>
    public Round Round { get; set; }

    /// <summary>Place on the part.</summary>
    public string? Place { get; set; }

    /// <summary>Where, and what else.</summary>
    public string? Note { get; set; }

    /// <summary>Distance from the edge.</summary>
    public string? FromEdge { get; set; }

    /// <summary>How deep.</summary>
    public string? Depth { get; set; }

    /// <summary>How long or wide.</summary>
    public string? Size { get; set; }

    /// <summary>Points hit on a grid.</summary>
    public string? Hits { get; set; }

    /// <summary>Points counted on a grid.</summary>
    public string? Points { get; set; }

    /// <summary>Picture that shows it.</summary>
    public Guid? Picture { get; set; }

    /// <summary>The form with the fault and degree of the button that was tapped, and the place chosen beside it.</summary>
    /// <param name="found">"Rust:2", or null when the fields say it.</param>
    /// <param name="sent">The form as it was sent.</param>
    public FindingForm With(string? found, IFormCollection sent)
    {
        if (found?.Split(':') is [string fault, string degree] && Enum.TryParse(fault, out FindingKind kind) && int.TryParse(degree, out int severity))
        {
            (Kind, Severity, Place) = (kind, severity, sent[$"place-{kind}"].ToString() is { Length: > 0 } place ? place : Place);
        }
        return this;
    }

    /// <summary>A finding as it is typed.</summary>
    public static FindingForm Of(Finding finding, Func<double?, string> length) => new()
    {
        Kind = finding.Kind, Severity = finding.Severity, Round = finding.Round, Place = finding.Place, Note = finding.Note,
        FromEdge = length(finding.FromEdgeMm), Depth = length(finding.DepthMm), Size = length(finding.SizeMm),
        Hits = finding.CountHits?.ToString(), Points = finding.CountPoints?.ToString(), Picture = finding.PictureId,
    };
}
