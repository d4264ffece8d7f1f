using Foundling.Core.Log;
using Foundling.Core.Shop;
using Foundling.Core.Tags;

namespace Foundling.Core.Bench;

/// <summary>A step of a tag that can be worked on now.</summary>
public sealed record Job(Tag Tag, PlanStep Step);

/// <summary>What can be done next.</summary>
public static class Jobs
{
    /// <summary>
    /// The next step of each tag, the soonest promised first, then the oldest tag. What stands keeps back only what it is
    /// about: wood is worked while the iron soaks.
    /// </summary>
    /// <param name="tags">The tags in hand with their steps and waits.</param>
    /// <param name="shop">The shop they lie in.</param>
    /// <param name="now">This moment.</param>
    public static IEnumerable<Job> Ready(IEnumerable<Tag> tags, ShopContext shop, DateTimeOffset now) =>
        from tag in tags
        let step = Order.Next(tag, shop, now)
        where step is not null
        orderby tag.PromisedOn ?? DateOnly.MaxValue, tag.Number
        select new Job(tag, step);
}
