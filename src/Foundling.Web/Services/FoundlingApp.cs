using Foundling.Data.Kinds;
using System.Net;
using System.Net.NetworkInformation;
using System.Net.Sockets;
using Foundling.Core.Keys;
using Foundling.Data.Demo;
using Foundling.Data.Origin;
using Foundling.Data.Papers;
using Foundling.Data.Pictures;
using Foundling.Data.Shop;
using Foundling.Data.Store;
using Foundling.Data.Soaks;
using Foundling.Data.Soles;
using Foundling.Data.Stores;
using Foundling.Data.Tags;
using Foundling.Web.Api;
using Foundling.Web.Door;
using Microsoft.AspNetCore.Authentication.Cookies;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Server.Kestrel.Core;

namespace Foundling.Web.Services;

/// <summary>Puts the web application together.</summary>
public static class FoundlingApp
{
    /// <summary>Largest request taken; pages that take pictures read it to its end so that nothing typed is lost.</summary>
    public const long MostRequestBytes = 640L * 1024 * 1024;

    /// <summary>Builds the application for the given options.</summary>
    /// <param name="options">How the program was started.</param>
    /// <param name="adapt">Last changes to the builder, for hosts in memory.</param>
    public static WebApplication Build(ShopOptions options, Action<WebApplicationBuilder>? adapt = null)
    {
        WebApplicationBuilder builder = WebApplication.CreateBuilder(new WebApplicationOptions
        {
            ContentRootPath = AppContext.BaseDirectory, ApplicationName = typeof(FoundlingApp).Assembly.GetName().Name,
        });
        builder.WebHost.ConfigureKestrel(kestrel => Listen(kestrel, options));
        builder.WebHost.UseStaticWebAssets();
        builder.Logging.AddFilter("Microsoft", LogLevel.Warning).AddFilter("Microsoft.EntityFrameworkCore.Query", LogLevel.Error)
            .AddFilter("Microsoft.AspNetCore.DataProtection", LogLevel.Error).AddFilter("Microsoft.Extensions.Hosting.Internal.Host", LogLevel.None);
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

    /// <summary>What the program says once it is open: where, what it keeps, and who can read along.</summary>
    public static string StartLine(ShopOptions options)
    {
        string here = $"Foundling is open at http://localhost:{options.Port}";
        string kept = $"(data in {options.DataPath}). Ctrl-C closes it.";
        if (options.Passphrase is null)
        {
            return $"{here}, on this machine only {kept}";
        }
        IEnumerable<string> names = options.Hosts.Count > 0 ? options.Hosts
            : NetworkInterface.GetAllNetworkInterfaces().Where(n => n.OperationalStatus == OperationalStatus.Up
                && n.NetworkInterfaceType != NetworkInterfaceType.Loopback)
                .SelectMany(n => n.GetIPProperties().UnicastAddresses).Select(a => a.Address).Where(a =>
                    a.AddressFamily == AddressFamily.InterNetwork).Select(a => a.ToString());
        string others = string.Join(", ", names.Select(n => $"http://{n}:{options.Port}"));
        return $"{here}{(others.Length > 0 ? $" and, for others, {others}" : "")} {kept} The connection is not encrypted: whoever listens on this network "
            + "can read along.";
    }

    /// <summary>Registers the services.</summary>
    public static void Configure(IServiceCollection services, ShopOptions options)
    {
        var folder = new DataFolder(options.DataPath);
        services.AddSingleton(options);
        services.AddSingleton(folder);
        services.AddSingleton(TimeProvider.System);
        services.AddDbContext<FoundlingDb>(db => folder.Configure(db));
        services.AddSingleton<PictureStore>();
        services.AddSingleton<SoleMaps>();
        services.AddSingleton<LeafReading>();
        services.AddSingleton<Datings>();
        services.AddSingleton<FormLocks>();
        services.AddSingleton<Tickets>();
        services.AddSingleton<WrongPassphrases>();
        services.AddSingleton<Stopwatches>();
        services.AddHostedService<Housekeeping>();
        services.AddScoped<ShopBook>();
        services.AddScoped<ClockBook>();
        services.AddSingleton<PlanCache>();
        services.AddSingleton<StallTables>();
        services.AddScoped<ShopDesk>();
        services.AddScoped<PlanShelf>();
        services.AddScoped<TagBook>();
        services.AddScoped<RodDesk>();
        services.AddScoped<StoreRoom>();
        services.AddScoped<BathBook>();
        services.AddScoped<BathLooks>();
        services.AddScoped<LapBook>();
        services.AddScoped<StoreDesk>();
        services.AddScoped<AirBook>();
        services.AddSingleton<ThermometerState>();
        services.AddHostedService<ThermometerWatch>();
        services.AddScoped<LotBook>();
        services.AddScoped<PartsBox>();
        services.AddSingleton<KindList>();
        services.AddScoped<KindShelf>();
        services.AddSingleton<PatternCache>();
        services.AddScoped<PatternShelf>();
        services.AddScoped<BundleDesk>();
        services.AddScoped<BundlesIn>();
        services.AddScoped<MarkDesk>();
        services.AddScoped<PictureSweep>();
        services.AddScoped<DemoWorld>();
        services.AddScoped<ViewUnits>();
        services.AddScoped<Chrome>();
        services.AddHttpContextAccessor();
        services.AddDataProtection().PersistKeysToFileSystem(new DirectoryInfo(folder.Keys)).SetApplicationName("Foundling");
        services.AddRazorPages(pages => pages.Conventions.ConfigureFilter(new OnceFilterFactory())).AddMvcOptions(mvc =>
        {
            mvc.Filters.Add(new PlainAddresses());
            mvc.Filters.Add<Unshowable>();
            mvc.Filters.Add(new Understood());
        });
        services.AddAuthentication(CookieAuthenticationDefaults.AuthenticationScheme).AddCookie(cookie =>
        {
            cookie.LoginPath = "/signin";
            cookie.ReturnUrlParameter = "to";
            cookie.Cookie.Name = "foundling";
            cookie.Cookie.SameSite = SameSiteMode.Strict;
            cookie.ExpireTimeSpan = Tickets.Holds;
            cookie.SlidingExpiration = false;
            cookie.Events.OnRedirectToLogin = to =>
            {
                if (!to.Request.Path.StartsWithSegments("/api", StringComparison.Ordinal))
                {
                    to.Response.Redirect(to.RedirectUri);
                    return Task.CompletedTask;
                }
                return BarePage.Write(to.HttpContext, new Fault(StatusCodes.Status401Unauthorized, "Sign in first",
                    "This shop is closed to strangers; sign in first."));
            };
            cookie.Events.OnValidatePrincipal = check =>
            {
                if (!check.HttpContext.RequestServices.GetRequiredService<Tickets>().Holding(check.Principal?.FindFirst(Tickets.Claim)?.Value))
                {
                    check.RejectPrincipal();
                }
                return Task.CompletedTask;
            };
        });
        services.AddAuthorization(auth =>
        {
            if (options.Passphrase is not null)
            {
                auth.FallbackPolicy = auth.DefaultPolicy;
            }
        });
        services.ConfigureHttpJsonOptions(json =>
        {
            json.SerializerOptions.NumberHandling = System.Text.Json.Serialization.JsonNumberHandling.Strict;
            json.SerializerOptions.PropertyNamingPolicy = OpenJson.Options.PropertyNamingPolicy;
            foreach (System.Text.Json.Serialization.JsonConverter converter in OpenJson.Options.Converters)
            {
                json.SerializerOptions.Converters.Add(converter);
            }
        });
        // Pictures and bundles are packed already. Over TLS nothing is: a token beside what a stranger sent could be guessed from the length.
        services.AddResponseCompression(packed => packed.MimeTypes =
            ["text/html", "text/css", "text/javascript", "application/json", "application/manifest+json", "image/svg+xml"]);
        services.AddOpenApi(api => api.AddSchemaTransformer<FieldDescriptions>());
    }

    /// <summary>The order requests go through.</summary>
    public static void Pipeline(WebApplication app, ShopOptions options)
    {
        app.Use(SecurityHeaders.Add);
        app.UseResponseCompression();
        app.UseExceptionHandler(new ExceptionHandlerOptions
        {
            AllowStatusCode404Response = true,
            SuppressDiagnosticsCallback = fault => Fault.Of(fault.Exception).Status != StatusCodes.Status500InternalServerError,
            ExceptionHandler = context => BarePage.Write(context, Fault.Of(context.Features.Get<IExceptionHandlerFeature>()?.Error)),
        });
        app.UseStatusCodePages(status => BarePage.Write(status.HttpContext, Fault.Of(status.HttpContext.Response.StatusCode)));
        app.Use((context, next) => HostGate.Check(context, options, next));
        app.UseStaticFiles(new StaticFileOptions
        {
            OnPrepareResponse = file => file.Context.Response.Headers.CacheControl = "public, max-age=3600",
        });
        app.UseRouting();
        app.UseAuthentication();
        app.UseAuthorization();
        app.Use((context, next) => FormGate.Check(context, options, next));
        app.MapRazorPages();
        GaugeApi.Map(app);
        PictureApi.Map(app);
        BathApi.Map(app);
        DrawingApi.Map(app);
        StallWorker.Map(app);
        app.MapOpenApi();
    }

    /// <summary>Loads the demo world where asked. The folder is open by now.</summary>
    public static async Task Prepare(WebApplication app, ShopOptions options)
    {
        if (options.Demo)
        {
            await using AsyncServiceScope scope = app.Services.CreateAsyncScope();
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
        headers.ContentSecurityPolicy = "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' blob:; font-src 'self'; connect-src 'self'; "
            + "form-action 'self'; base-uri 'none'; frame-ancestors 'none'; manifest-src 'self'";
        headers.XContentTypeOptions = "nosniff";
        headers["Referrer-Policy"] = "same-origin";
        headers["Cross-Origin-Opener-Policy"] = "same-origin";
        return next();
    }
}
