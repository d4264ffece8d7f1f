using System.Net;
using System.Threading.RateLimiting;
using Foundling.Core.Gauges;
using Foundling.Data.Demo;
using Foundling.Data.Origin;
using Foundling.Data.Papers;
using Foundling.Data.Pictures;
using Foundling.Data.Shop;
using Foundling.Data.Store;
using Foundling.Data.Stores;
using Foundling.Data.Tags;
using Foundling.Web.Api;
using Microsoft.AspNetCore.Authentication.Cookies;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.AspNetCore.Http.Features;
using Microsoft.AspNetCore.RateLimiting;
using Microsoft.AspNetCore.Server.Kestrel.Core;
using Microsoft.EntityFrameworkCore;

namespace Foundling.Web.Services;

/// <summary>Puts the web application together.</summary>
public static class FoundlingApp
{
    /// <summary>Largest request taken; pages that take pictures read it to its end so that nothing typed is lost.</summary>
    public const long MostRequestBytes = 640L * 1024 * 1024;

    /// <summary>Builds the application for the given options.</summary>
    /// <param name="options">How the program was started.</param>
    /// <param name="args">Arguments of the host itself.</param>
    /// <param name="adapt">Last changes to the builder, for hosts in memory.</param>
    public static WebApplication Build(ShopOptions options, string[] args, Action<WebApplicationBuilder>? adapt = null)
    {
        WebApplicationBuilder builder = WebApplication.CreateBuilder(new WebApplicationOptions
        {
            Args = args, ContentRootPath = AppContext.BaseDirectory, ApplicationName = typeof(FoundlingApp).Assembly.GetName().Name,
        });
        builder.WebHost.ConfigureKestrel(kestrel => Listen(kestrel, options));
        builder.WebHost.UseStaticWebAssets();
        builder.Logging.AddFilter("Microsoft", LogLevel.Warning).AddFilter("Microsoft.EntityFrameworkCore.Query", LogLevel.Error).AddFilter("Microsoft.AspNetCore.DataProtection", LogLevel.Error);
        Configure(builder.Services, options);
        adapt?.Invoke(builder);
        WebApplication app = builder.Build();
        Pipeline(app, options);
        return app;
    }

    /// <summary>Loopback only, unless a passphrase is set.</summary>
    public static void Listen(KestrelServerOptions kestrel, ShopOptions options)
    {
        kestrel.Limits.MaxRequestBodySize = MostRequestBytes;
        kestrel.AddServerHeader = false;
        if (options.Passphrase is null)
        {
            kestrel.ListenLocalhost(options.Port);
        }
        else
        {
            kestrel.Listen(IPAddress.Any, options.Port);
        }
    }

    /// <summary>Registers the services.</summary>
    public static void Configure(IServiceCollection services, ShopOptions options)
    {
        var folder = new DataFolder(options.DataPath);
        folder.Create();
        services.AddSingleton(options);
        services.AddSingleton(folder);
        services.AddSingleton(TimeProvider.System);
        services.AddDbContext<FoundlingDb>(db => folder.Configure(db));
        services.AddSingleton<PictureStore>();
        services.AddSingleton<FormLocks>();
        services.AddScoped<ShopBook>();
        services.AddScoped<ClockBook>();
        services.AddScoped<TagBook>();
        services.AddScoped<RodDesk>();
        services.AddScoped<StoreRoom>();
        services.AddScoped<LotBook>();
        services.AddScoped<PartsBox>();
        services.AddSingleton<PatternCache>();
        services.AddScoped<PatternShelf>();
        services.AddScoped<BundleDesk>();
        services.AddScoped<MarkDesk>();
        services.AddScoped<DemoWorld>();
        services.AddScoped<ViewUnits>();
        services.AddScoped<Chrome>();
        services.AddHttpContextAccessor();
        services.AddDataProtection().PersistKeysToFileSystem(new DirectoryInfo(folder.Keys)).SetApplicationName("Foundling");
        services.Configure<FormOptions>(form => form.MultipartBodyLengthLimit = MostRequestBytes);
        services.AddRazorPages(pages => pages.Conventions.ConfigureFilter(new OnceFilterFactory()));
        services.AddAuthentication(CookieAuthenticationDefaults.AuthenticationScheme).AddCookie(cookie =>
        {
            cookie.LoginPath = "/signin";
            cookie.ReturnUrlParameter = "to";
            cookie.Cookie.Name = "foundling";
            cookie.Cookie.SameSite = SameSiteMode.Strict;
            cookie.ExpireTimeSpan = TimeSpan.FromDays(30);
        });
        services.AddAuthorization(auth =>
        {
            if (options.Passphrase is not null)
            {
                auth.FallbackPolicy = auth.DefaultPolicy;
            }
        });
        services.AddRateLimiter(limit =>
        {
            limit.RejectionStatusCode = StatusCodes.Status429TooManyRequests;
            limit.AddFixedWindowLimiter("signin", window =>
            {
                window.PermitLimit = 10;
                window.Window = TimeSpan.FromMinutes(1);
                window.QueueProcessingOrder = QueueProcessingOrder.OldestFirst;
            });
        });
        services.ConfigureHttpJsonOptions(json =>
        {
            json.SerializerOptions.NumberHandling = System.Text.Json.Serialization.JsonNumberHandling.Strict;
            json.SerializerOptions.PropertyNamingPolicy = GaugeCatalogue.Json.PropertyNamingPolicy;
            foreach (System.Text.Json.Serialization.JsonConverter converter in GaugeCatalogue.Json.Converters)
            {
                json.SerializerOptions.Converters.Add(converter);
            }
        });
        services.AddOpenApi();
    }

    /// <summary>The order requests go through.</summary>
    public static void Pipeline(WebApplication app, ShopOptions options)
    {
        app.UseExceptionHandler("/oops");
        app.UseStatusCodePagesWithReExecute("/oops", "?code={0}");
        app.Use(SecurityHeaders.Add);
        app.UseStaticFiles(new StaticFileOptions
        {
            OnPrepareResponse = file => file.Context.Response.Headers.CacheControl = "public, max-age=3600",
        });
        app.UseRouting();
        app.UseRateLimiter();
        app.UseAuthentication();
        app.UseAuthorization();
        app.MapRazorPages();
        GaugeApi.Map(app);
        PictureApi.Map(app);
        app.MapOpenApi();
    }

    /// <summary>Brings the database up to date and loads the demo world where asked.</summary>
    public static async Task Prepare(WebApplication app, ShopOptions options)
    {
        await using AsyncServiceScope scope = app.Services.CreateAsyncScope();
        await scope.ServiceProvider.GetRequiredService<FoundlingDb>().Database.MigrateAsync();
        if (options.Demo)
        {
            await scope.ServiceProvider.GetRequiredService<DemoWorld>().Load();
        }
    }
}

/// <summary>Headers every answer carries.</summary>
internal static class SecurityHeaders
{
    public static Task Add(HttpContext context, Func<Task> next)
    {
        IHeaderDictionary headers = context.Response.Headers;
        headers.ContentSecurityPolicy = "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' blob:; font-src 'self'; connect-src 'self'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'; manifest-src 'self'";
        headers.XContentTypeOptions = "nosniff";
        headers["Referrer-Policy"] = "same-origin";
        headers["Cross-Origin-Opener-Policy"] = "same-origin";
        return next();
    }
}
