using Foundling.Data.Pictures;

namespace Foundling.Web.Api;

/// <summary>Serves pictures by name and size.</summary>
internal static class PictureApi
{
    public static void Map(WebApplication app) =>
        app.MapGet("/pictures/{size}/{file}", (string size, string file, PictureStore store, HttpContext context) =>
        {
            PictureSize? wanted = size switch { "thumb" => PictureSize.Thumb, "view" => PictureSize.View, "original" => PictureSize.Original, _ => null };
            if (wanted is null || store.Find(file, wanted.Value) is not string path)
            {
                return Results.NotFound();
            }
            context.Response.Headers.CacheControl = "private, max-age=31536000, immutable";
            string type = wanted != PictureSize.Original || file.EndsWith("jpg", StringComparison.Ordinal) ? "image/jpeg" : file.EndsWith("png",
                StringComparison.Ordinal) ? "image/png" : "image/webp";
            return Results.File(path, type);
        }).ExcludeFromDescription();
}
