using ArchUnitNET.Domain;
using ArchUnitNET.Loader;
using Foundling.Core;
using Foundling.Data.Store;
using Foundling.Web.Services;
using static ArchUnitNET.Fluent.ArchRuleDefinition;

namespace Foundling.Web.Tests;

public sealed class ArchitectureTests
{
    private static readonly Architecture Solution = new ArchLoader().LoadAssemblies(typeof(Check).Assembly, typeof(FoundlingDb).Assembly,
        typeof(FoundlingApp).Assembly).Build();

    private static void Holds<T>(T rule)
        where T : ArchUnitNET.Fluent.IArchRule => rule.Evaluate(Solution).Where(r => !r.Passed).Select(r => r.Description).ShouldBeEmpty();

    [Fact]
    public void Core_knows_nothing_of_the_other_layers() =>
        Holds(Types().That().ResideInAssembly(typeof(Check).Assembly).Should().NotDependOnAny(Types().That()
            .ResideInAssembly(typeof(FoundlingDb).Assembly, typeof(FoundlingApp).Assembly)));

    [Fact]
    public void Data_knows_nothing_of_the_web() =>
        Holds(Types().That().ResideInAssembly(typeof(FoundlingDb).Assembly).Should().NotDependOnAny(Types().That()
            .ResideInAssembly(typeof(FoundlingApp).Assembly)));

    /// <summary>Rooms of Core from the ground up: each may use those that stand before it, and none behind it.</summary>
    private static readonly string[] Rooms =
    [
        "Keys", "Safety", "Stores", "", "Units", "Tools", "Aim", "Deeds",
        "Baths", "Grits", "Soles", "Saws", "Edges", "Finishes",
        "Shop", "Origin", "Marks", "Proof",
        "State", "Rod", "Log", "Soaks", "Tags", "Shelves",
        "Bench", "Stall", "Papers", "Gauges",
    ];

    private static int RoomOf(IType type) =>
        Array.IndexOf(Rooms, type.Namespace.FullName is "Foundling.Core" ? "" : type.Namespace.FullName.Split('.').ElementAtOrDefault(2));

    private static bool IsCore(IType type) =>
        type.Namespace?.FullName is { } name && (name is "Foundling.Core" || name.StartsWith("Foundling.Core.", StringComparison.Ordinal));

    [Fact]
    public void Rooms_of_core_look_one_way()
    {
        IType[] core = [.. Solution.Types.Where(IsCore)];
        core.Length.ShouldBeGreaterThan(200);
        core.Where(t => RoomOf(t) < 0).Select(t => t.FullName).ShouldBeEmpty("a room that has no place in the order");
        core.SelectMany(t => t.Dependencies.Select(d => (From: t, To: d.Target)))
            .Where(d => IsCore(d.To) && RoomOf(d.To) > RoomOf(d.From))
            .Select(d => $"{d.From.FullName} knows {d.To.FullName}").Distinct().ShouldBeEmpty();
    }
}
