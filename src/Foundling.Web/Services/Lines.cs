using System.Text.Json;
using Foundling.Core.Keys;

namespace Foundling.Web.Services;

/// <summary>An answer that comes line by line, each a JSON object, sent as soon as it is there.</summary>
public sealed class Lines
{
    private readonly HttpResponse _to;

    private Lines(HttpResponse to) => _to = to;

    /// <summary>Begins an answer.</summary>
    public static Lines To(HttpResponse response)
    {
        response.ContentType = "application/x-ndjson; charset=utf-8";
        return new Lines(response);
    }

    /// <summary>Sends a line.</summary>
    public async Task Say(object what, CancellationToken cancel)
    {
        await _to.WriteAsync(JsonSerializer.Serialize(what, OpenJson.Options) + "\n", cancel);
        await _to.Body.FlushAsync(cancel);
    }
}
