using System.Security.Claims;
using System.Security.Cryptography;
using System.Text;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Authentication;
using Microsoft.AspNetCore.Authentication.Cookies;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using Microsoft.AspNetCore.RateLimiting;

namespace Foundling.Web.Pages;

/// <summary>Asks for the passphrase of a shop that is open to other machines.</summary>
[AllowAnonymous]
[EnableRateLimiting("signin")]
public sealed class SignInModel(ShopOptions options) : PageModel
{
    /// <summary>Where to go afterwards.</summary>
    [BindProperty(SupportsGet = true)]
    public string? To { get; set; }

    /// <summary>Why it did not work.</summary>
    public string? Fault { get; private set; }

    /// <summary>The form.</summary>
    public IActionResult OnGet() => options.Passphrase is null ? LocalRedirect("/") : Page();

    /// <summary>Checks the passphrase in constant time.</summary>
    public async Task<IActionResult> OnPost(string? passphrase)
    {
        byte[] given = SHA256.HashData(Encoding.UTF8.GetBytes(passphrase ?? "")), wanted = SHA256.HashData(Encoding.UTF8.GetBytes(options.Passphrase ?? ""));
        if (options.Passphrase is null || !CryptographicOperations.FixedTimeEquals(given, wanted))
        {
            Fault = "That is not the passphrase of this shop.";
            return Page();
        }
        await HttpContext.SignInAsync(CookieAuthenticationDefaults.AuthenticationScheme,
            new ClaimsPrincipal(new ClaimsIdentity([new Claim(ClaimTypes.Name, "shop")], CookieAuthenticationDefaults.AuthenticationScheme)),
            new AuthenticationProperties { IsPersistent = true });
        return LocalRedirect(Url.IsLocalUrl(To) ? To! : "/");
    }

    /// <summary>Closes the door again.</summary>
    public async Task<IActionResult> OnPostOut()
    {
        await HttpContext.SignOutAsync();
        return LocalRedirect("/signin");
    }
}
