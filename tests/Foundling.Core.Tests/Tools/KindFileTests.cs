using System.Text.Json.Nodes;
using Foundling.Core.Aim;
using Foundling.Core.Proof;
using Foundling.Core.Rod;
using Foundling.Core.Stall;
using Foundling.Core.Tools;
using Foundling.Core.Tools.Kinds;
using Foundling.Core.Tests.Rod;

namespace Foundling.Core.Tests.Tools;

/// <summary>Kinds are files: what is wrong with one is said in words, and nothing of it is taken.</summary>
public sealed class KindFileTests
{
    private const string Awl = """
        {
         "kind": "bradawl", "name": "Bradawl", "family": "boring_tool", "length": "length over all", "length_mm": 150,
         "parts": [{"part": "blade", "name": "blade", "material": "steel"},
          {"part": "handle", "name": "handle", "material": "wood", "finish": "varnished", "held": "driven on the tang"},
          {"part": "ferrule", "name": "ferrule", "material": "brass", "joint": "stays_on", "with": "handle"}],
         "proofs": ["hole-wood"],
         "fit": {"moves": [{"parts": ["blade"], "knots": {"origin": 6, "at": [0, 20, 90], "to": ["0", "20", "L-60"]}}, {"right": "L-150"}]}
        }
        """;

    private const string Drawing = """
        <svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 162 40" data-rest-y="34"><g data-part="blade"><path class="steel o" d="M6 18h90v4h-90z"/></g>
        <g data-part="handle"><path class="ash o" d="M106 6h50v28h-50z"/></g><g data-part="ferrule"><path class="brass o" d="M96 12h10v16h-10z"/></g></svg>
        """;

    private const string Question = """
        {"id": "a", "ask": "?", "look": "l", "picture": "p", "part": "blade", "answers": [{"id": "x", "text": "x", "share": 0.5},
         {"id": "y", "text": "y", "share": 0.4}]}
        """;

    private static string Changed(Action<JsonObject> change)
    {
        JsonObject file = JsonNode.Parse(Awl)!.AsObject();
        change(file);
        return file.ToJsonString();
    }

    private static JsonObject Part(JsonObject file, int at) => file["parts"]![at]!.AsObject();

    [Fact]
    public void A_file_and_its_drawing_make_a_kind_that_is_drawn_asked_about_and_planned()
    {
        KindFile file = KindReader.Read(Awl);
        ToolKind awl = KindReader.Kind(file);
        Profile drawn = KindDrawing.Read(Drawing, file);
        drawn.Parts.Select(p => p.Part.Value).ShouldBe(["blade", "handle", "ferrule"]);
        StallQuestions.For(awl).Count.ShouldBeGreaterThan(4);
        Proofs.For(awl, null, Assumptions.Standard).ShouldHaveSingleItem().Id.ShouldBe("hole-wood");
        IReadOnlyList<Deed> plan = Planner.Plan(new PlanQuestion(new Core.State.Facts(awl, [Asking.F(PartIds.Blade, FindingKind.Rust, 2)]), AimKind.Work,
            Asking.Ask(KindIds.Brace, AimKind.Work).Shop));
        plan.Count.ShouldBeGreaterThan(8);
        plan.SelectMany(d => d.Parts).ShouldAllBe(p => awl.Made(p));
    }

    [Fact]
    public void Every_shipped_kind_reads_and_names_proofs_there_are()
    {
        foreach (ToolKind kind in ToolCatalogue.Kinds)
        {
            KindReader.Check(kind.File);
            kind.File.Proofs.ShouldNotBeEmpty(kind.Id.Value);
            kind.File.Proofs.ShouldAllBe(p => Proofs.Keys.Contains(p));
            Proofs.For(kind, null, Assumptions.Standard).Count.ShouldBe(kind.File.Proofs.Count);
            foreach (KindQuestion question in kind.File.Stall)
            {
                question.Answers.Where(a => a.Finding is not null).ShouldAllBe(a => Faults.Can(kind, kind.Part(question.Part)!, a.Finding!.Value));
            }
            foreach (KindPart part in kind.File.Parts.Where(p => p.On is null))
            {
                part.Places.ShouldNotBeEmpty($"{kind.Id} {part.Part} has a place for its mark");
            }
        }
    }

    [Fact]
    public void What_is_wrong_with_a_file_is_said_in_words()
    {
        (string File, string Says)[] wrong =
        [
            ("", "no kind file"), ("[]", "no kind file"), ("{\"kind\": 5}", "no kind file"), ("{", "line 1"),
            (Changed(f => f["version"] = 2), "version 2"), (Changed(f => f["kind"] = "../etc/passwd"), "no key of a kind"), (Changed(f => f["name"] = "  "),
                "cannot stand"),
            (Changed(f => f["length_mm"] = -3), "no size"), (Changed(f => f["parts"] = new JsonArray()), "1 to 80 parts"),
            (Changed(f => Part(f, 1)["part"] = "blade"), "two parts"), (Changed(f => Part(f, 1)["part"] = "<b>"), "no key of a part"),
            (Changed(f => Part(f, 1)["material"] = "cheese"), "material"), (Changed(f => Part(f, 1)["finish"] = "japanned"), "cannot be japanned"),
            (Changed(f => Part(f, 2)["with"] = "tote"), "no other part"), (Changed(f => Part(f, 2)["with"] = "ferrule"), "no other part"),
            (Changed(f => Part(f, 1)["with"] = "ferrule"), "goes in a round"),
            (Changed(f => Part(f, 0)["with"] = "ferrule"), "first part"), (Changed(f => Part(f, 0)["apart"] = new JsonArray(1)), "two numbers"),
            (Changed(f => Part(f, 0)["places"] = new JsonArray(new JsonObject { ["name"] = "edge", ["x"] = 1e9, ["y"] = 0 })), "not on a drawing"),
            (Changed(f => f["fit"]!["moves"]![1]!["right"] = "L*150"), "no sum of measures"), (Changed(f => f["fit"]!["moves"]![1]!["right"] = ""),
                "no sum of measures"),
            (Changed(f => f["fit"]!["moves"]![0]!["knots"]!["at"] = new JsonArray(0, 90, 20)), "rise"),
            (Changed(f => f["fit"]!["moves"]![0]!["knots"]!["to"] = new JsonArray("0", "L")), "Each knot"),
                (Changed(f => f["fit"]!["moves"]![0]!["parts"] = new JsonArray("tote")), "no part"),
            (Changed(f => f["teeth"] = new JsonObject { ["part"] = "blade", ["points"] = 900, ["rake_deg"] = 10 }), "points to the inch"),
            (Changed(f => f["stall"] = new JsonArray(JsonNode.Parse(Question))), "shares come to 1"),
            (Changed(f => f["name"] = new string('x', KindReader.MostLetters)), "letters long"),
        ];
        foreach ((string file, string says) in wrong)
        {
            InputException fault = Should.Throw<InputException>(() => KindReader.Read(file), file.Length > 300 ? file[..300] : file);
            fault.ErrorKey.ShouldBe("kind_file");
            fault.Message.ShouldContain(says, Case.Insensitive);
            fault.Message.Length.ShouldBeLessThan(300);
        }
    }

    [Fact]
    public void What_is_wrong_with_a_drawing_is_said_in_words()
    {
        KindFile file = KindReader.Read(Awl);
        (string Svg, string Says)[] wrong =
        [
            ("", "no drawing"), ("<p/>", "not svg"), ("<svg/>", "viewBox"), (Drawing.Replace("0 0 162 40", "0 0 NaN 40", StringComparison.Ordinal),
                "no number"),
            (Drawing.Replace("data-part=\"ferrule\"", "data-part=\"tote\"", StringComparison.Ordinal), "\"tote\""),
            (Drawing.Replace("<g data-part=\"handle\"><path class=\"ash o\" d=\"M106 6h50v28h-50z\"/></g>", "", StringComparison.Ordinal),
                "handle is not on the drawing"),
            (Drawing.Replace("M6 18h90v4h-90z", "M6 18q1 1 2 2", StringComparison.Ordinal), "cannot be read"), (Drawing.Replace("M6 18h90v4h-90z", "",
                StringComparison.Ordinal), "cannot be read"),
            (Drawing.Replace("M6 18h90v4h-90z", "M6 18h9e99v4z", StringComparison.Ordinal), "cannot be read"), (Drawing.Replace("ash o", "ash onload",
                StringComparison.Ordinal), "not drawn here"),
            (Drawing.Replace("M6 18h90v4h-90z", "M6 18" + string.Concat(Enumerable.Repeat("h1v1h-1", 200_000)), StringComparison.Ordinal), "letters long"),
            ("<!DOCTYPE svg [<!ENTITY x SYSTEM \"file:///etc/passwd\">]>" + Drawing, "no drawing"),
            (Drawing.Replace("</svg>", string.Concat(Enumerable.Repeat("<g data-part=\"blade\"><path class=\"o\" d=\"M1 1h2\"/></g>", 2)) + "</svg>",
                StringComparison.Ordinal), "drawn once"),
        ];
        foreach ((string svg, string says) in wrong)
        {
            InputException fault = Should.Throw<InputException>(() => KindDrawing.Read(svg, file), svg.Length > 200 ? svg[..200] : svg);
            fault.ErrorKey.ShouldBe("kind_file");
            fault.Message.ShouldContain(says);
        }
    }

    [Fact]
    public void Whatever_is_written_into_a_file_is_read_or_refused_with_a_sentence()
    {
        var random = new Random(12);
        string shipped = System.Text.Json.JsonSerializer.Serialize(ToolCatalogue.Kind(KindIds.MetalBenchPlane).File, Core.Keys.OpenJson.Options);
        KindReader.Read(shipped).Parts.Count.ShouldBe(17);
        for (int i = 0; i < 3000; i++)
        {
            char[] letters = shipped.ToCharArray();
            for (int k = random.Next(1, 6); k > 0; k--)
            {
                letters[random.Next(letters.Length)] = "0123456789-e.\"{}[],:axL"[random.Next(23)];
            }
            try
            {
                KindReader.Kind(KindReader.Read(new string(letters))).Parts.ShouldNotBeEmpty();
            }
            catch (InputException fault)
            {
                fault.Message.ShouldEndWith(".");
            }
        }
    }

    [Theory]
    [InlineData("m+27", 103)]
    [InlineData("L/2-15.5", 107)]
    [InlineData("0.43m-65.36", -32.68)]
    [InlineData("min(m-96, L-235)", -20)]
    [InlineData("88L/162-46.2716", 86.814)]
    [InlineData("-W", -50)]
    [InlineData("0", 0)]
    public void A_sum_of_measures_is_reckoned(string sum, double expected) => Linear.Parse(sum).At([245, 76, 50, 108]).ShouldBe(expected, 0.001);

    [Theory]
    [InlineData("")]
    [InlineData("m+")]
    [InlineData("LL")]
    [InlineData("2*L")]
    [InlineData("L/0")]
    [InlineData("x+1")]
    [InlineData("min(L")]
    public void What_is_no_sum_is_refused(string sum) => Should.Throw<FormatException>(() => Linear.Parse(sum));
}
