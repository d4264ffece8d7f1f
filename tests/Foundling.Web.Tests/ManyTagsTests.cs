using AngleSharp.Html.Dom;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Data.Store;
using Foundling.Data.Tags;
using Microsoft.Extensions.DependencyInjection;

namespace Foundling.Web.Tests;

/// <summary>A shop with more tags than one list holds.</summary>
public sealed class ManyTagsTests(EmptyHost host) : IClassFixture<EmptyHost>
{
    [Fact]
    public async Task What_no_list_holds_is_named_by_its_number()
    {
        Visitor visitor = host.Visit();
        await using (AsyncServiceScope scope = host.Services.CreateAsyncScope())
        {
            FoundlingDb db = scope.ServiceProvider.GetRequiredService<FoundlingDb>();
            db.Tags.AddRange(Enumerable.Range(1, TagBook.MostToChooseFrom + 20).Select(n => new Tag
            {
                Number = n, Kind = KindIds.Axe, Name = $"Axe {n}", Status = n == 7 ? TagStatus.InHand : TagStatus.Done, BookedAt = host.Time.GetUtcNow(),
            }));
            await db.SaveChangesAsync(TestContext.Current.CancellationToken);
        }
        await visitor.Submit(await visitor.Page("/lots"), "form[data-keep=newlot]", new() { ["name"] = "Many" });
        IHtmlDocument page = await visitor.Page("/lots");
        page.QuerySelectorAll("form[action*='handler=Put'] option").Length.ShouldBe(TagBook.MostToChooseFrom);
        page.QuerySelector("form[action*='handler=Put'] option")!.TextContent.ShouldStartWith("F-0007");
        page.QuerySelector("form[action*='handler=Put'] option[value='1']").ShouldBeNull();
        page.QuerySelector("form[action*='handler=Put'] input[name=other]").ShouldNotBeNull();
        await visitor.Submit(page, "form[action*='handler=Put']", new() { ["tag"] = "7", ["other"] = "F-0001" });
        page = await visitor.Page("/lots");
        page.QuerySelector("section table")!.TextContent.ShouldContain("F-0001");
        page.QuerySelector("section table")!.TextContent.ShouldNotContain("F-0007");
        foreach ((string other, string sentence) in new[] { ("the saw", "is no tag number; write it like F-0042"), ("9999", "There is no tag F-9999") })
        {
            HttpResponseMessage refused = await visitor.Submit(page, "form[action*='handler=Put']", new() { ["tag"] = "7", ["other"] = other });
            (await Visitor.Read(refused)).QuerySelector(".notice.bad")!.TextContent.ShouldContain(sentence);
        }
    }
}
