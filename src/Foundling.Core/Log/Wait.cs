namespace Foundling.Core.Log;

/// <summary>Something that stands and waits.</summary>
public sealed class Wait
{
    /// <summary>Key.</summary>
    public Guid Id { get; set; }

    /// <summary>Deed it follows.</summary>
    public Rod.DeedId Step { get; set; }

    /// <summary>How it ends.</summary>
    public Rod.LagKind Kind { get; set; }

    /// <summary>Steps that end it when they are done.</summary>
    public List<Keys.StepKey> EndedBy { get; set; } = [];

    /// <summary>What stands, and where.</summary>
    public string What { get; set; } = "";

    /// <summary>When it began.</summary>
    public DateTimeOffset StartedAt { get; set; }

    /// <summary>When to look in.</summary>
    public DateTimeOffset? LookInAt { get; set; }

    /// <summary>When it should be ready.</summary>
    public DateTimeOffset ReadyAt { get; set; }

    /// <summary>When it must be out.</summary>
    public DateTimeOffset? MustBeOutAt { get; set; }

    /// <summary>Number of the bath it stands in; null for none, or one that is not kept.</summary>
    public int? Bath { get; set; }

    /// <summary>When it was ended.</summary>
    public DateTimeOffset? EndedAt { get; set; }
}
