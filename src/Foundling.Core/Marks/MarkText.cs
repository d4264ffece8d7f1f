namespace Foundling.Core.Marks;

/// <summary>What was read, in plain letters, and which stretches of it are understood already.</summary>
internal sealed class MarkText
{
    private readonly bool[] _taken;
    private readonly List<int> _ends = [0];

    /// <summary>Takes what was read; every letter keeps its place.</summary>
    public MarkText(string read)
    {
        Plain = new string([.. read.Select(c => c switch { '’' or '‘' or '`' or '´' or 'ʹ' or '′' => '\'', '–' or '—' or '‑' => '-', '“' or '”' or '″' => '"',
            '\t' or '\n' or '\r' or ' ' => ' ', _ => char.ToLowerInvariant(c) })]);
        _taken = new bool[Plain.Length];
    }

    /// <summary>Lower case, with plain quotes, dashes and spaces.</summary>
    public string Plain { get; }

    /// <summary>What is not understood yet, blanks in place of the rest.</summary>
    public string Rest => new([.. Plain.Select((c, i) => _taken[i] ? ' ' : c)]);

    /// <summary>True when nothing of a stretch is understood yet.</summary>
    public bool IsFree(int at, int length) => !_taken.AsSpan(at, length).Contains(true);

    /// <summary>Marks a stretch as understood.</summary>
    public void Take(int at, int length) => _taken.AsSpan(at, length).Fill(true);

    /// <summary>Marks a date or number as understood: the words before it were about it and not about what follows.</summary>
    public void TakeWhole(int at, int length)
    {
        Take(at, length);
        _ends.Add(at + length);
    }

    /// <summary>The words just before a place that can be about what stands there, back to a comma or to the last date or number.</summary>
    public string WordsBefore(int at) => Plain[Math.Max(_ends.Where(e => e <= at).Max(), at == 0 ? 0 : Plain.LastIndexOfAny([',', ';'], at - 1) + 1)..at];
}
