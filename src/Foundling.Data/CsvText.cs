using CsvHelper;

namespace Foundling.Data;

/// <summary>Text of a spreadsheet, however it writes its columns.</summary>
internal static class CsvText
{
    /// <summary>Opens it, its first line as any other; lines are counted.</summary>
    /// <param name="text">The text, without a mark of its encoding.</param>
    /// <param name="reader">A reader at its beginning.</param>
    public static CsvReader Open(string text, TextReader reader)
    {
        // Spreadsheets of half the world write a semicolon and a decimal comma.
        string head = text.Split('\n', 2)[0];
        return CsvReader.Create(reader, new CsvReaderOptions
        {
            HasHeader = false, TrackLineNumbers = true, AllowLineBreaksInQuotes = true,
            Separator = head.Contains(';', StringComparison.Ordinal) ? ';' : head.Contains('\t', StringComparison.Ordinal) ? '\t' : ',',
        });
    }
}
