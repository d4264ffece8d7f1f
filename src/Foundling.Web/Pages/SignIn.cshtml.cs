using System.Security.Claims;
using System.Security.Cryptography;
using System.Text;
using Foundling.Web.Door;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Authentication;
using Microsoft.AspNetCore.Authentication.Cookies;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Foundling.Web.Pages;

/// <summary>Asks for the passphrase of a shop that is open to other machines.</summary>
[AllowAnonymous]
public sealed class SignInModel(ShopOptions options, Tickets tickets, WrongPassphrases wrong) : PageModel
{
    /// <summary>Where to go afterwards.</summary>
    [BindProperty(SupportsGet = true)]
    public string? To { get; set; }

    /// <summary>Why it did not work.</summary>
    public string? Fault { get; private set; }

    private string Address => HttpContext.Connection.RemoteIpAddress?.ToString() ?? "";

    /// <summary>The form.</summary>
    public IActionResult OnGet() => options.Passphrase is null ? LocalRedirect("/") : Page();

    /// <summary>Checks the passphrase in constant time.</summary>
    public async Task<IActionResult> OnPost(string? passphrase)
    {
        if (wrong.Wait(Address) is { TotalSeconds: > 0 } wait)
        {
            Response.StatusCode = StatusCodes.Status429TooManyRequests;
            Fault = $"That was wrong too often. Wait {Math.Ceiling(wait.TotalSeconds):0} s, then try again.";
            return Page();
        }
        // Counted before it is looked at, so that many at once gain nothing.
        wrong.Wrong(Address);
        byte[] given = SHA256.HashData(Encoding.UTF8.GetBytes(passphrase ?? "")), wanted = SHA256.HashData(Encoding.UTF8.GetBytes(options.Passphrase ?? ""));
        if (options.Passphrase is null || !CryptographicOperations.FixedTimeEquals(given, wanted))
        {
            Fault = "That is not the passphrase of this shop.";
            return Page();
        }
        wrong.Right(Address);
        Claim[] claims = [new(ClaimTypes.Name, "shop"), new(Tickets.Claim, await tickets.Issue())];
        await HttpContext.SignInAsync(CookieAuthenticationDefaults.AuthenticationScheme,
            new ClaimsPrincipal(new ClaimsIdentity(claims, CookieAuthenticationDefaults.AuthenticationScheme)),
                new AuthenticationProperties { IsPersistent = true });
        return LocalRedirect(Url.IsLocalUrl(To) ? To! : "/");
    }

    /// <summary>Closes the door again.</summary>
    public async Task<IActionResult> OnPostOut()
    {
        await tickets.End(User.FindFirstValue(Tickets.Claim));
        await HttpContext.SignOutAsync();
        return LocalRedirect("/signin");
    }

    /// <summary>Closes the door for everyone who is in, on every machine.</summary>
    public async Task<IActionResult> OnPostEverywhere()
    {
        if (User.Identity?.IsAuthenticated == true)
        {
            await tickets.EndAll();
        }
        await HttpContext.SignOutAsync();
        return LocalRedirect("/signin");
    }
}
