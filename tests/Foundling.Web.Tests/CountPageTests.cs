using System.Net;
using System.Text.Json;
using AngleSharp.Dom;
using AngleSharp.Html.Dom;

namespace Foundling.Web.Tests;

/// <summary>Counting points on a picture, over an in-memory host.</summary>
public sealed class CountPageTests(DemoHost host) : IClassFixture<DemoHost>
{
    private const string Outline = "250,40 900,40 950,225 240,225";

    private static async Task<string> Address(Visitor visitor) =>
        (await visitor.Page("/tag/19/state")).QuerySelector("figcaption a")!.GetAttribute("href")!;

    private static async Task<IHtmlDocument> Begin(Visitor visitor, Dictionary<string, string>? change = null)
    {
        var fields = new Dictionary<string, string> { ["part"] = "body", ["kind"] = "CoatingLoss", ["round"] = "AsFound", ["points"] = "40",
            ["outline"] = Outline, ["reference"] = "240,225 950,225", ["length"] = "24.5 cm" };
        foreach ((string name, string value) in change ?? [])
        {
            fields[name] = value;
        }
        string address = await Address(visitor);
        HttpResponseMessage answer = await visitor.Submit(await visitor.Page(address), "form[action*='handler=Start']", fields);
        return answer.StatusCode == HttpStatusCode.Found ? await visitor.Page(answer.Headers.Location!.ToString()) : await Visitor.Read(answer);
    }

    [Fact]
    public async Task Points_are_laid_answered_and_taken_over()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await Begin(visitor);
        int points = page.QuerySelectorAll("circle[data-i]").Length;
        points.ShouldBeInRange(28, 54);
        HttpResponseMessage answer = await visitor.Submit(page, "[data-answers-form]", new() { ["answers"] = "yyyynnnnnnss<script>" });
        JsonElement json = JsonSerializer.Deserialize<JsonElement>(await answer.Content.ReadAsStringAsync());
        json.GetProperty("result").GetProperty("share").GetDouble().ShouldBe(0.4);
        json.GetProperty("counted").GetInt32().ShouldBe(13, "only answers are kept: the s of the tag is one too");
        page = await visitor.Page(page.QuerySelector("[data-answers-form]")!.GetAttribute("action")!.Replace("handler=Answers&", "", StringComparison.Ordinal));
        page.QuerySelector("[data-share]")!.TextContent.ShouldBe("40 %");
        page.QuerySelector("main")!.TextContent.ShouldContain("cm² inside the outline");
        answer = await visitor.Submit(page, "form[action*='handler=Use']", []);
        answer.Headers.Location!.ToString().ShouldBe("/tag/19/state");
        (await visitor.Page("/tag/19/state")).QuerySelector(".findings")!.TextContent.ShouldContain("from 10 points");
    }

    [Fact]
    public async Task A_later_count_is_set_against_the_earlier()
    {
        Visitor visitor = host.Visit();
        foreach ((string round, string answers) in new[] { ("AsFound", new string('y', 30) + "nn"), ("Finished", new string('n', 30) + "yy") })
        {
            IHtmlDocument page = await Begin(visitor, new() { ["kind"] = "Rust", ["round"] = round });
            await visitor.Submit(page, "[data-answers-form]", new() { ["answers"] = answers });
            page = await visitor.Page(page.QuerySelector("[data-answers-form]")!.GetAttribute("action")!.Replace("handler=Answers&", "",
                StringComparison.Ordinal));
            if (round == "Finished")
            {
                page.QuerySelector("main")!.TextContent.ShouldMatch(@"From as it came to after the work:\s+94 % to 6 %, 88 points less");
            }
        }
    }

    [Theory]
    [InlineData("part", "", "Choose the part")]
    [InlineData("outline", "1,1 5,5", "three corners")]
    [InlineData("outline", "here there", "no place on this picture")]
    [InlineData("points", "3", "must be 10 to 1000")]
    [InlineData("length", "long", "is not a length")]
    [InlineData("reference", "5,5 5,5", "same point")]
    public async Task What_cannot_be_counted_gets_a_sentence_and_the_rest_stays(string field, string value, string sentence)
    {
        IHtmlDocument page = await Begin(host.Visit(), new() { [field] = value });
        page.QuerySelectorAll(".fault").ShouldContain(f => f.TextContent.Contains(sentence));
        page.QuerySelector<IHtmlInputElement>("#outline")!.Value.ShouldBe(field == "outline" ? value : Outline);
    }

    [Fact]
    public async Task The_guess_by_colour_is_shown_over_the_picture()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await Begin(visitor);
        string address = page.QuerySelector("[data-answers-form]")!.GetAttribute("action")!.Replace("handler=Answers&", "", StringComparison.Ordinal);
        page = await visitor.Page(address + "&hueLow=25&hueHigh=75");
        string mask = page.QuerySelectorAll("image").Select(i => i.GetAttribute("href")!).Single(h => h.Contains("Mask"));
        HttpResponseMessage png = await visitor.Get(mask);
        png.Content.Headers.ContentType!.MediaType.ShouldBe("image/png");
        (await visitor.Get(mask.Replace("id=", "id=0", StringComparison.Ordinal))).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }
}
