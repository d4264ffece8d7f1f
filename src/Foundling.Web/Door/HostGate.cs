using System.Net;
using Foundling.Web.Services;

namespace Foundling.Web.Door;

/// <summary>
/// Answers only to the shop's own names, so that a foreign name pointed at this machine reads and writes nothing; and does
/// nothing for pages of other sites.
/// </summary>
internal static class HostGate
{
    /// <summary>Refuses a name that is not the shop's, and requests that other sites make.</summary>
    public static async Task Check(HttpContext context, ShopOptions options, Func<Task> next)
    {
        if (!IsOurs(context, options))
        {
            await BarePage.Write(context, new Fault(421, "Not this shop",
                "The shop does not answer to that name. Open it at "
                    + $"http://localhost:{options.Port}{(options.Passphrase is null ? "" : ", or name the host with --host NAME when starting")}."));
            return;
        }
        if (IsForeign(context.Request))
        {
            await BarePage.Write(context, Fault.Of(403));
            return;
        }
        await next();
    }

    private static bool IsOurs(HttpContext context, ShopOptions options)
    {
        string host = context.Request.Host.Host.Trim('[', ']').TrimEnd('.');
        bool address = IPAddress.TryParse(host, out IPAddress? ip);
        if (string.Equals(host, "localhost", StringComparison.OrdinalIgnoreCase) || (address && IPAddress.IsLoopback(ip!)))
        {
            return true;
        }
        if (options.Passphrase is null)
        {
            return false;
        }
        if (options.Hosts.Count > 0)
        {
            return options.Hosts.Contains(host, StringComparer.OrdinalIgnoreCase);
        }
        string machine = Environment.MachineName;
        return address ? Same(ip!, context.Connection.LocalIpAddress)
            : string.Equals(host, machine, StringComparison.OrdinalIgnoreCase) || string.Equals(host, machine + ".local", StringComparison.OrdinalIgnoreCase);
    }

    private static bool Same(IPAddress asked, IPAddress? local) =>
        local is not null && (asked.IsIPv4MappedToIPv6 ? asked.MapToIPv4() : asked).Equals(local.IsIPv4MappedToIPv6 ? local.MapToIPv4() : local);

    /// <summary>
    /// True for what a page of another site sends or embeds. A link followed from elsewhere is a plain reading of a page and
    /// stays allowed.
    /// </summary>
    private static bool IsForeign(HttpRequest request)
    {
        string site = request.Headers["Sec-Fetch-Site"].ToString();
        bool reads = HttpMethods.IsGet(request.Method) || HttpMethods.IsHead(request.Method);
        bool followed = reads && request.Headers["Sec-Fetch-Mode"] == "navigate" && request.Headers["Sec-Fetch-Dest"] == "document";
        if (site.Length > 0 && site is not ("same-origin" or "none") && !followed)
        {
            return true;
        }
        string origin = request.Headers.Origin.ToString();
        return !reads && origin.Length > 0 && !(Uri.TryCreate(origin, UriKind.Absolute, out Uri? from) && string.Equals(from.Authority, request.Host.Value,
            StringComparison.OrdinalIgnoreCase));
    }
}
