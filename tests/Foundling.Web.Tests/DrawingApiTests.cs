using System.Net;
using System.Xml.Linq;
using AngleSharp.Dom;
using AngleSharp.Html.Dom;
using Foundling.Core.Tools;
using Foundling.Web.Drawings;

namespace Foundling.Web.Tests;

/// <summary>Small drawings are pictures of their own.</summary>
public sealed class DrawingApiTests(DemoHost host) : IClassFixture<DemoHost>
{
    private async Task<XElement> Drawing(string address)
    {
        HttpResponseMessage answer = await host.Visit().Get(address);
        answer.StatusCode.ShouldBe(HttpStatusCode.OK, address);
        answer.Content.Headers.ContentType!.MediaType.ShouldBe("image/svg+xml");
        answer.Headers.CacheControl!.Private.ShouldBeTrue();
        return XDocument.Parse(await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken)).Root!;
    }

    private static List<XElement> All(XElement svg, string name) => [.. svg.Descendants().Where(e => e.Name.LocalName == name)];

    [Fact]
    public async Task Every_kind_is_drawn_whole_with_its_own_rules_and_no_page_round_it()
    {
        foreach (ToolKind kind in ToolCatalogue.Kinds)
        {
            var view = new ProfileView(Profile.Of(kind.Id), 104, kind.Name);
            XElement svg = await Drawing(view.Address);
            All(svg, "g").Count.ShouldBe(view.Profile.Parts.Count, kind.Name);
            All(svg, "path").Count.ShouldBe(view.Profile.Parts.Sum(p => view.Shapes(p).Count()));
            All(svg, "style").Single().Value.ShouldContain(".prof path");
        }
    }

    [Fact]
    public async Task A_missing_part_and_a_measured_length_are_drawn()
    {
        var view = new ProfileView(Profile.Fitted(KindIds.MetalBenchPlane, 355), 104, "plane") { Missing = new HashSet<PartId> { PartIds.Iron, PartIds.Tote } };
        XElement svg = await Drawing(view.Address);
        All(svg, "g").Count(g => g.Attribute("class")!.Value == "gone").ShouldBe(2);
        svg.Attribute("viewBox")!.Value.ShouldStartWith($"0 0 {view.Profile.Width:0.##}");
    }

    [Theory]
    [InlineData("/drawings/no-such-tool.svg")]
    [InlineData("/drawings/axe.svg?length=-4")]
    [InlineData("/drawings/axe.svg?length=1e300")]
    [InlineData("/drawings/axe.svg?length=400&mouth=NaN")]
    [InlineData("/drawings/tokens/0.svg")]
    [InlineData("/drawings/tokens/x.svg")]
    public async Task What_cannot_be_drawn_is_not_there(string address) => (await host.Visit().Get(address)).StatusCode.ShouldBe(HttpStatusCode.NotFound);

    [Fact]
    public async Task A_part_no_such_tool_has_is_not_drawn_as_missing() =>
        All(await Drawing("/drawings/axe.svg?gone=%22%3E%3Cscript%3E+lever_cap"), "g").ShouldAllBe(g => g.Attribute("class")!.Value.Length == 0);

    [Fact]
    public async Task Every_picture_a_list_shows_is_there_and_says_what_it_is()
    {
        Visitor visitor = host.Visit();
        foreach (string page in new[] { "/", "/shelf", "/new", "/patterns" })
        {
            List<IHtmlImageElement> pictures = [.. (await visitor.Page(page)).QuerySelectorAll<IHtmlImageElement>("img[src^='/drawings/']")];
            pictures.Count.ShouldBeGreaterThan(3, page);
            pictures.ShouldAllBe(p => p.AlternativeText!.Length > 0);
            foreach (string address in pictures.Select(p => p.GetAttribute("src")!).Distinct())
            {
                await Drawing(address);
            }
        }
    }
}
