using System.Text.RegularExpressions;
using Foundling.Data.Store;
using Foundling.Data.Tags;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Builder;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;

namespace Foundling.Web.Tests;

/// <summary>A shop whose leaves can be told to read everything.</summary>
public sealed class WideHost : TestHost
{
    internal WideReading Reading { get; } = new();

    protected override void Adapt(WebApplicationBuilder builder) => builder.Services.AddSingleton<LeafReading>(Reading);

    internal sealed class WideReading : LeafReading
    {
        public bool Everything { get; set; }

        public override TagParts Of(TagParts shown) => Everything ? TagParts.Everything : shown;
    }
}

/// <summary>A leaf reads no more of a tag than it shows, and no less.</summary>
public sealed partial class LeafReadingTests(WideHost host) : IClassFixture<WideHost>
{
    private static readonly string[] Leaves =
        ["origin", "state", "aim", "rod", "log", "proof", "papers", "ways", "rules", "needs", "sole", "sole/lap", "sole/marks", "sole/wood", "book",
            "condition"];

    [Fact]
    public async Task Every_leaf_of_every_tag_says_the_same_as_with_everything_read()
    {
        List<(int Number, Guid? Picture)> tags;
        using (IServiceScope scope = host.Services.CreateScope())
        {
            tags = [.. (await scope.ServiceProvider.GetRequiredService<FoundlingDb>().Tags.AsNoTracking().Include(t => t.Pictures).ToListAsync(
                TestContext.Current.CancellationToken)).Select(t => (t.Number, t.Pictures.FirstOrDefault()?.Id))];
        }
        tags.Count.ShouldBeGreaterThan(10);
        Visitor visitor = host.Visit();
        async Task<string> Say(string path, bool everything)
        {
            host.Reading.Everything = everything;
            HttpResponseMessage answer = await visitor.Get(path);
            return $"{(int)answer.StatusCode} {Keys().Replace(await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken), "value")}";
        }
        List<string> other = [];
        foreach ((int number, Guid? picture) in tags)
        {
            foreach (string leaf in picture is Guid id ? [.. Leaves, $"count/{id}"] : Leaves)
            {
                string path = $"/tag/{number}/{leaf}", little = await Say(path, false), all = await Say(path, true);
                all.Length.ShouldBeGreaterThan(500, path);
                if (little != all)
                {
                    other.Add(path);
                }
            }
        }
        other.ShouldBeEmpty();
    }

    /// <summary>Keys that are made anew for each page.</summary>
    [GeneratedRegex("value=\"[^\"]{24,}\"")]
    private static partial Regex Keys();
}
