using Foundling.Core;
using Foundling.Data.Store;

namespace Foundling.Web.Door;

/// <summary>What went wrong, for a person.</summary>
/// <param name="Status">Status of the answer.</param>
/// <param name="Head">What went wrong, short.</param>
/// <param name="Sentence">What went wrong and what to do.</param>
/// <param name="Again">True when the same thing sent again in a moment will do.</param>
public sealed record Fault(int Status, string Head, string Sentence, bool Again = false)
{
    private const string Kept = "what you typed is kept in the form";

    /// <summary>The fault behind an exception.</summary>
    public static Fault Of(Exception? exception) => exception switch
    {
        InputException input => new(400, "That cannot be", input.Sentence),
        BadHttpRequestException { StatusCode: 413 } => Of(413),
        BadHttpRequestException bad => Of(bad.StatusCode),
        _ => StoreFault.Of(exception) switch
        {
            { Kind: StoreFaultKind.Busy } busy => new(503, busy.Head, busy.Sentence, Again: true),
            { Kind: StoreFaultKind.Full } full => new(507, full.Head, full.Sentence),
            { } other => new(500, other.Head, other.Sentence),
            null => Of(500),
        },
    };

    /// <summary>What a status means.</summary>
    public static Fault Of(int status) => status switch
    {
        413 => new(status, "Too large", $"What was sent is larger than this shop takes. Send less at once, or smaller pictures; {Kept}."),
        404 => new(status, "Not here", "There is no such page or tag. It may have been typed wrong."),
        400 => new(status, "Not understood", "The form was too old or not whole. Go back, reload the page and send it again; what you typed is kept."),
        403 => new(status, "Not from here", "That was sent from another page on the web, not from this shop. Nothing was done."),
        405 => new(status, "Not here", "This page does not take what was sent to it."),
        415 => new(status, "Not understood", "This address takes JSON."),
        429 => new(status, "Too many tries", "That was wrong too often. Wait a little, then try again."),
        499 => new(status, "Gone", "The other side hung up before the answer was ready."),
        >= 400 and < 500 => new(status, "Not understood", "What was sent cannot be understood. Nothing was changed."),
        _ => new(status, "Something broke", "This is a fault of the program, not yours. Nothing that was confirmed is lost. Go back and try again."),
    };

    /// <summary>This fault as problem details, for the addresses under /api.</summary>
    public IResult AsProblem() => Results.Problem(Sentence, statusCode: Status, title: Head, extensions: Again ? new Dictionary<string,
        object?> { ["again"] = true } : null);
}
