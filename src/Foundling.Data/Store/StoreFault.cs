using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Foundling.Data.Store;

/// <summary>What kept the store from keeping something.</summary>
public enum StoreFaultKind
{
    /// <summary>Another write was under way; sent again it will be taken.</summary>
    Busy,

    /// <summary>The disk is full.</summary>
    Full,

    /// <summary>The folder or the file may not be written.</summary>
    ReadOnly,

    /// <summary>The database is damaged.</summary>
    Damaged,
}

/// <summary>A fault of the disk or of a neighbour, told from a fault of the program.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Head">What went wrong, short.</param>
/// <param name="Sentence">What went wrong and what to do.</param>
public sealed record StoreFault(StoreFaultKind Kind, string Head, string Sentence)
{
    private const int NoSpaceErrno = 28, ReadOnlyErrno = 30, NoSpaceWindows = unchecked((int)0x80070070);

    /// <summary>The fault behind an exception, or null when it is none of the store's.</summary>
    public static StoreFault? Of(Exception? exception)
    {
        for (Exception? at = exception; at is not null; at = at.InnerException)
        {
            StoreFaultKind? kind = at switch
            {
                DbUpdateConcurrencyException => StoreFaultKind.Busy,
                SqliteException { SqliteErrorCode: 5 or 6 } => StoreFaultKind.Busy,
                SqliteException { SqliteErrorCode: 13 } => StoreFaultKind.Full,
                SqliteException { SqliteErrorCode: 8 or 14 } => StoreFaultKind.ReadOnly,
                SqliteException { SqliteErrorCode: 10 or 11 or 26 } => StoreFaultKind.Damaged,
                IOException { HResult: NoSpaceErrno or NoSpaceWindows } => StoreFaultKind.Full,
                IOException { HResult: ReadOnlyErrno } or UnauthorizedAccessException => StoreFaultKind.ReadOnly,
                _ => null,
            };
            if (kind is not null)
            {
                return Of(kind.Value);
            }
        }
        return null;
    }

    private static StoreFault Of(StoreFaultKind kind) => kind switch
    {
        StoreFaultKind.Busy => new(kind, "Someone is saving", "Someone is saving; what you typed is here; send it again."),
        StoreFaultKind.Full => new(kind, "The disk is full", "The disk is full: nothing was kept, what you typed is here. Make room, then send it again."),
        StoreFaultKind.ReadOnly => new(kind, "The shop cannot be written",
            "The shop's folder cannot be written: nothing was kept, what you typed is here. Allow writing to it, then send it again."),
        _ => new(kind, "The disk does not answer well",
            "The disk or the shop's book is damaged: nothing was kept, what you typed is here. Close the program and start it again; it checks the book and "
                + "names the newest backup."),
    };
}
