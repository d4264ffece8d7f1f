using Foundling.Data.Store;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Connections;

int port = 0;
try
{
    ShopOptions options = ShopOptions.From(args, Environment.GetEnvironmentVariable);
    port = options.Port;
    using Opening opening = Opening.Of(new DataFolder(options.DataPath));
    WebApplication app = FoundlingApp.Build(options);
    await FoundlingApp.Prepare(app, options);
    app.Lifetime.ApplicationStarted.Register(() => Console.WriteLine(FoundlingApp.StartLine(options)));
    await app.RunAsync();
    return 0;
}
catch (CannotOpenException fault)
{
    Console.Error.WriteLine(fault.Message);
    return 2;
}
catch (IOException fault) when (fault.InnerException is AddressInUseException or AggregateException { InnerException: AddressInUseException })
{
    Console.Error.WriteLine($"Port {port} is in use by another program. Close that program, or choose another port with --port N.");
    return 2;
}
catch (Exception fault) when (StoreFault.Of(fault) is not null)
{
    Console.Error.WriteLine($"The shop could not be opened. {StoreFault.Of(fault)!.Head}: nothing was changed.");
    return 2;
}

/// <summary>The entry point, visible to in-memory hosts.</summary>
public partial class Program;
