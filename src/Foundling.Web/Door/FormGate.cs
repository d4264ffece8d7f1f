using Foundling.Web.Services;
using Microsoft.AspNetCore.Http.Features;
using Microsoft.AspNetCore.Http.Metadata;

namespace Foundling.Web.Door;

/// <summary>
/// Judges what is sent before anything reads it: how long it is, how many fields it has, and whether its letters are
/// letters. What cannot be taken is a sentence, never a blank page.
/// </summary>
internal static class FormGate
{
    /// <summary>Most bytes of a form without pictures, and of JSON.</summary>
    public const long MostFormBytes = 2 * 1024 * 1024;

    /// <summary>Most bytes a stranger may send.</summary>
    public const long MostStrangerBytes = 8 * 1024;

    private const int MostQuery = 8 * 1024;

    private static readonly Fault NoLetter = new(400, "Not understood",
        "Something in this form is no letter and cannot be kept. Type it by hand; what you typed is kept in the form.");

    /// <summary>Reads a form within its limits, or refuses it.</summary>
    public static async Task Check(HttpContext context, ShopOptions options, Func<Task> next)
    {
        HttpRequest request = context.Request;
        if (request.QueryString.Value is { Length: > MostQuery } || HasNul(request.Query))
        {
            await BarePage.Write(context, new Fault(400, "Not understood", "That address holds something that cannot be read. Nothing was done."));
            return;
        }
        if (HttpMethods.IsGet(request.Method) || HttpMethods.IsHead(request.Method))
        {
            await next();
            return;
        }
        long most = Most(context, options);
        if (request.ContentLength > most)
        {
            await Refuse(context, most);
            return;
        }
        if (context.Features.Get<IHttpMaxRequestBodySizeFeature>() is { IsReadOnly: false } limit)
        {
            limit.MaxRequestBodySize = most;
        }
        if (request.HasFormContentType)
        {
            try
            {
                var form = new FormOptions
                {
                    ValueCountLimit = 4096, ValueLengthLimit = (int)Math.Min(most, MostFormBytes), KeyLengthLimit = 256, BufferBodyLengthLimit = most,
                    MultipartBodyLengthLimit = most,
                };
                IFormCollection read = await request.ReadFormAsync(form, context.RequestAborted);
                if (HasNul(read))
                {
                    await BarePage.Write(context, NoLetter);
                    return;
                }
            }
            catch (InvalidDataException fault) when (fault.Message.Contains("characters", StringComparison.Ordinal))
            {
                await BarePage.Write(context, NoLetter);
                return;
            }
            catch (InvalidDataException)
            {
                await Refuse(context, most);
                return;
            }
        }
        await next();
    }

    private static Task Refuse(HttpContext context, long most) => BarePage.Write(context,
        Fault.Of(413) with { Sentence = $"What was sent is more than {Size(most)} or has too many fields for this form. Send less at once; what you typed is "
            + "kept in the form." });

    private static string Size(long bytes) => bytes >= 1024 * 1024 ? $"{bytes / 1024 / 1024} MB" : $"{bytes / 1024} kB";

    private static long Most(HttpContext context, ShopOptions options) =>
        options.Passphrase is not null && context.User.Identity?.IsAuthenticated != true ? MostStrangerBytes
        : context.GetEndpoint()?.Metadata.GetMetadata<IRequestSizeLimitMetadata>()?.MaxRequestBodySize ?? MostFormBytes;

    private static bool HasNul(IEnumerable<KeyValuePair<string, Microsoft.Extensions.Primitives.StringValues>> fields) =>
        fields.Any(f => f.Key.Contains('\0', StringComparison.Ordinal) || f.Value.Any(v => v?.Contains('\0', StringComparison.Ordinal) == true));
}
