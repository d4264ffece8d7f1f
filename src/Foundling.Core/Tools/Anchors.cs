using System.Globalization;

namespace Foundling.Core.Tools;

/// <summary>Places for marks on the nominal drawings, mm: the first of a part is where a mark goes that names no place.</summary>
internal static class Anchors
{
    private static readonly ILookup<(KindId Kind, PartId Part), (string Name, Spot At)> All = Read();

    public static IEnumerable<(string Name, Spot At)> Of(KindId kind, PartId part) => All[(kind, part)];

    private static ILookup<(KindId Kind, PartId Part), (string Name, Spot At)> Read()
    {
        using Stream stream = typeof(Anchors).Assembly.GetManifestResourceStream("profiles/anchors.csv")!;
        using var reader = new StreamReader(stream);
        return reader.ReadToEnd().Split('\n', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries).Skip(1).Select(l => l.Split(','))
            .ToLookup(c => (KindId.Of(c[0]), PartId.Of(c[1])), c => (c[2], new Spot(double.Parse(c[3], CultureInfo.InvariantCulture), double.Parse(c[4],
                CultureInfo.InvariantCulture))));
    }
}
