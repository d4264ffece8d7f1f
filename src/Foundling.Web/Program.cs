using Foundling.Web.Services;

ShopOptions options = ShopOptions.From(args, Environment.GetEnvironmentVariable);
WebApplication app = FoundlingApp.Build(options, args);
await FoundlingApp.Prepare(app, options);
app.Lifetime.ApplicationStarted.Register(() =>
    Console.WriteLine($"Foundling is open at http://localhost:{options.Port} (data in {options.DataPath}). Ctrl-C closes it."));
await app.RunAsync();

/// <summary>The entry point, visible to in-memory hosts.</summary>
public partial class Program;
