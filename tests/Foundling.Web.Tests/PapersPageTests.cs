using System.Net;
using AngleSharp.Dom;
using AngleSharp.Html.Dom;

namespace Foundling.Web.Tests;

/// <summary>What the papers say, and how surely.</summary>
public sealed class PapersPageTests(DemoHost host) : IClassFixture<DemoHost>
{
    private static string Row(IHtmlDocument page, string head) =>
        page.QuerySelectorAll("article th").FirstOrDefault(th => th.TextContent == head)?.NextElementSibling?.TextContent ?? "";

    [Fact]
    public async Task A_guess_is_told_with_its_chance()
    {
        IHtmlDocument page = await host.Visit().Page("/tag/31/papers");
        string made = Row(page, "Made");
        made.ShouldContain("1922 to 1926 (nine chances in ten)");
        made.ShouldContain("Iron from another tool: ");
        made.ShouldContain("Knob perhaps from another tool: one chance in three");
        Row(page, "By").ShouldContain("Pellow & Tarn: nine chances in ten");
        Row(page, "As found").ShouldNotBeEmpty();
        Row(page, "Time").ShouldMatch(@"^1 h \d\d$", "every step done was timed");
        Row(page, "Done").Trim().ShouldStartWith("21 steps");
    }

    [Fact]
    public async Task Looks_that_cannot_both_be_right_stand_in_the_papers()
    {
        Visitor visitor = host.Visit();
        Row(await visitor.Page("/tag/40/papers"), "Made").ShouldNotContain("cannot both be right");
        (await visitor.Submit(await visitor.Page("/tag/40/origin"), "form[action*='handler=Known']", new() { ["words"] = "Cut with the year 1931",
            ["notBefore"] = "1931", ["certain"] = "true" })).StatusCode.ShouldBe(HttpStatusCode.Found);
        string made = Row(await visitor.Page("/tag/40/papers"), "Made");
        made.ShouldContain("These cannot both be right:");
        made.ShouldContain("cut with the year 1931");
    }

    [Fact]
    public async Task A_note_marked_for_the_papers_is_in_them_and_another_is_not()
    {
        Visitor visitor = host.Visit();
        async Task Write(string text, bool papers) =>
            (await visitor.Submit(await visitor.Page("/tag/24/log"), "form[action*='handler=Note']", papers ? new() { ["note"] = text, ["papers"] = "true" }
                : new() { ["note"] = text })).StatusCode.ShouldBe(HttpStatusCode.Found);
        await Write("The jaw pin is a new one.", true);
        await Write("Buy more tea.", false);
        string notes = Row(await visitor.Page("/tag/24/papers"), "Notes");
        notes.ShouldContain("The jaw pin is a new one.");
        notes.ShouldNotContain("tea");
        (await visitor.Page("/tag/24/log")).Body!.TextContent.ShouldContain("for papers");
    }

    [Fact]
    public async Task The_owners_mark_is_told_whoever_owns_it()
    {
        IHtmlDocument page = await host.Visit().Page("/tag/27/papers");
        Row(page, "Belongs to").ShouldBe("Maud Aldous");
        Row(page, "Owner's mark").ShouldBe("M A");
    }
}
