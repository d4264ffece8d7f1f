using System.Diagnostics;
using Foundling.Shared;

namespace Foundling.Core.Tests;

/// <summary>
/// Adds a deed, a gauge and a kind to a copy of Core, each in three files, builds it and asks it for them: what a later hand
/// will do most often stays that small.
/// </summary>
public sealed class ScratchTests
{
    private const int MostFiles = 3;

    /// <summary>A piece put behind a place of a file, or a whole new file.</summary>
    private sealed record Edit(string File, string Behind, string Text);

    private static readonly Edit[] Deed =
    [
        new("Keys/StepKey.cs", "    WoodLacquer,\n", """

                /// <summary>Listen to it.</summary>
                [Deed(DeedKind.Look)]
                [Takes("listen to it", 1, 2, 4)]
                Listen,

            """),
        new("Rod/Rules/WashRules.cs", "All { get; } =\n    [\n", """
                    PlanRule.One("listen", "A crack is heard before it is seen.", [Always], q =>
                        new Deed(StepKey.Listen, Stage.Wash, "Tap it and listen", q.Minutes(StepKey.Listen)) { How = "Hang it from a cord.",
                            Reason = "A crack buzzes.",
                            FinishTest = "It rings, or it does not." }),

            """),
        new("Rod/States/WashStates.cs", "All { get; } = new Dictionary<StepKey, Action<Statement>>\n    {\n",
            "        [StepKey.Listen] = s => s.NeedsMade(Dirt.Dusted),\n"),
    ];

    private static readonly Edit[] Gauge =
    [
        new("Baths/Evaporation.cs", "", """
            namespace Foundling.Core.Baths;

            /// <summary>An open bath.</summary>
            public sealed record EvaporationInput(double SurfaceMm2, double DaysOpen);

            /// <summary>What it lost.</summary>
            public sealed record EvaporationResult(double LostMl);

            /// <summary>Liquid that goes by itself.</summary>
            public static class Evaporation
            {
                /// <summary>Loss of an open bath.</summary>
                public static EvaporationResult Of(EvaporationInput input) => new(input.SurfaceMm2 * input.DaysOpen / 1000);
            }
            """),
        new("Gauges/GaugeCatalogue.cs", "All { get; } =\n    [\n",
            "        Of<EvaporationInput, EvaporationResult>(\"baths\", \"evaporation\", \"What an open bath loses.\", (i, _) => Evaporation.Of(i)),\n"),
        new("Gauges/FieldWords.cs", "Words = new()\n    {\n", "        [\"surface_mm2\"] = \"open surface\", [\"days_open\"] = \"how long it stood open\",\n"),
    ];

    private static readonly Edit[] Kind =
    [
        new("Tools/Kinds/carver.json", "", """
            {
             "kind": "carver", "name": "Carver", "family": "edge_tool", "length": "length over all", "length_mm": 284, "edge": "back_and_bevel",
             "parts": [{"part": "blade", "name": "blade", "material": "edge_steel"},
              {"part": "handle", "name": "handle", "material": "wood", "finish": "varnished", "held": "on a tang"}],
             "proofs": ["pared"]
            }
            """),
        new("Tools/Kinds/carver.svg", "", """
            <svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 296 40" data-rest-y="34">
            <g data-part="blade"><path class="steel o" d="M6 10h140v20h-140z"/></g>
            <g data-part="handle"><path class="ash o" d="M146 6h144v28h-144z"/></g></svg>
            """),
    ];

    private const string Program = """
        using Foundling.Core;
        using Foundling.Core.Aim;
        using Foundling.Core.Baths;
        using Foundling.Core.Gauges;
        using Foundling.Core.Keys;
        using Foundling.Core.Proof;
        using Foundling.Core.Rod;
        using Foundling.Core.Shop;
        using Foundling.Core.Stall;
        using Foundling.Core.State;
        using Foundling.Core.Tools;

        ToolKind carver = ToolCatalogue.Kind(KindId.Of("carver"));
        var shop = new ShopContext(Assumptions.Standard.With("minutes_listen", 8), new Climate(), new BathTable([]));
        IReadOnlyList<Deed> plan = Planner.Plan(new PlanQuestion(new Facts(carver, []), AimKind.Work, shop));
        List<StepKey> order = [.. plan.Select(d => d.Id.Step)];
        Deed listen = plan.Single(d => d.Id.Step == StepKey.Listen);
        Console.WriteLine($"deed {listen.Kind} {listen.Room} {listen.Minutes.High} {order.IndexOf(StepKey.WashDust) < order.IndexOf(StepKey.Listen)}");
        object lost = GaugeCatalogue.Run(GaugeCatalogue.Find("baths", "evaporation")!,
            System.Text.Json.JsonSerializer.SerializeToElement(new { surface_mm2 = 2000, days_open = 3 }), new GaugeContext(Assumptions.Standard, null!));
        Console.WriteLine($"gauge {((EvaporationResult)lost).LostMl}");
        Console.WriteLine($"kind {Profile.Of(carver.Id).Parts.Count > 1} {plan.Count > 8} {StallQuestions.For(carver).Count >= 5} "
            + $"{Proofs.For(carver, null, Assumptions.Standard) is not null} {StallTable.Of(carver, shop).Rows.Count >= 5}");
        """;

    [Fact]
    public void A_deed_a_gauge_and_a_kind_are_added_in_three_files_each()
    {
        foreach (Edit[] edits in new[] { Deed, Gauge, Kind })
        {
            edits.Select(e => e.File).Distinct().Count().ShouldBeLessThanOrEqualTo(MostFiles);
        }
        string root = Directory.CreateTempSubdirectory("foundling-scratch-").FullName;
        try
        {
            Folders.Copy(Tree.Path("src", "Foundling.Core"), Path.Combine(root, "src", "Foundling.Core"), f =>
                !f.Split(Path.DirectorySeparatorChar).Any(p => p is "bin" or "obj"));
            foreach (string file in new[] { "Directory.Build.props", "Directory.Packages.props", "global.json", ".editorconfig" }.Where(f =>
                File.Exists(Tree.Path(f))))
            {
                File.Copy(Tree.Path(file), Path.Combine(root, file));
            }
            foreach (Edit edit in Deed.Concat(Gauge).Concat(Kind))
            {
                Make(Path.Combine(root, "src", "Foundling.Core", edit.File), edit);
            }
            string scratch = Path.Combine(root, "scratch");
            Directory.CreateDirectory(scratch);
            File.WriteAllText(Path.Combine(scratch, "Program.cs"), Program);
            File.WriteAllText(Path.Combine(scratch, "scratch.csproj"), """
                <Project Sdk="Microsoft.NET.Sdk">
                  <PropertyGroup><OutputType>Exe</OutputType></PropertyGroup>
                  <ItemGroup><ProjectReference Include="../src/Foundling.Core/Foundling.Core.csproj" /></ItemGroup>
                </Project>
                """);
            string said = Run(scratch);
            said.ShouldContain("deed Look State 16 True");
            said.ShouldContain("gauge 6");
            said.ShouldContain("kind True True True True True");
        }
        finally
        {
            Directory.Delete(root, recursive: true);
        }
    }

    private static void Make(string path, Edit edit)
    {
        if (edit.Behind.Length == 0)
        {
            File.WriteAllText(path, edit.Text);
            return;
        }
        string text = File.ReadAllText(path);
        int at = text.IndexOf(edit.Behind, StringComparison.Ordinal);
        at.ShouldBeGreaterThan(0, $"{edit.File} has no place \"{edit.Behind}\"");
        File.WriteAllText(path, text.Insert(at + edit.Behind.Length, edit.Text));
    }

    private static string Run(string folder)
    {
        var start = new ProcessStartInfo("dotnet", ["run", "-c", "Release", "-v", "q", "--nologo"])
        {
            WorkingDirectory = folder, RedirectStandardOutput = true, RedirectStandardError = true,
        };
        // A build server would outlive the test.
        start.Environment["MSBUILDDISABLENODEREUSE"] = "1";
        start.Environment["UseSharedCompilation"] = "false";
        // Whether it holds together and works is asked here; how it is written is looked at where it stays.
        start.Environment["RunAnalyzers"] = "false";
        using Process process = Process.Start(start)!;
        Task<string> errors = process.StandardError.ReadToEndAsync();
        string said = process.StandardOutput.ReadToEnd() + errors.GetAwaiter().GetResult();
        process.WaitForExit();
        process.ExitCode.ShouldBe(0, said);
        return said;
    }
}
