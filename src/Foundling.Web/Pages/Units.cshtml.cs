using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Foundling.Web.Pages;

/// <summary>Switches the units of this browser.</summary>
public sealed class UnitsModel : PageModel
{
    /// <summary>Nothing to see here.</summary>
    public IActionResult OnGet() => LocalRedirect("/");

    /// <summary>Keeps the choice and goes back.</summary>
    public IActionResult OnPost(string? units, string? to)
    {
        Response.Cookies.Append(ViewUnits.Cookie, units == "in" ? "in" : "mm", new CookieOptions { MaxAge = TimeSpan.FromDays(3650),
            SameSite = SameSiteMode.Lax, HttpOnly = true, IsEssential = true });
        return LocalRedirect(Url.IsLocalUrl(to) ? to! : "/");
    }
}
