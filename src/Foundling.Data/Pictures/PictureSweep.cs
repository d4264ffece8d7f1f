using Foundling.Core.Tags;
using Foundling.Data.Store;
using Microsoft.EntityFrameworkCore;

namespace Foundling.Data.Pictures;

/// <summary>Sweeps up what crashes and full disks leave: half-written files, pictures no tag names, bundles nobody took.</summary>
public sealed class PictureSweep(FoundlingDb db, DataFolder folder, TimeProvider time)
{
    private static readonly TimeSpan PartsAfter = TimeSpan.FromHours(1), OrphansAfter = TimeSpan.FromDays(1);

    /// <summary>Sweeps; answers how many files went.</summary>
    public async Task<int> Sweep(CancellationToken cancel = default)
    {
        DateTime now = time.GetUtcNow().UtcDateTime;
        List<FileInfo> files = [.. new DirectoryInfo(folder.Pictures).GetFiles(), .. new DirectoryInfo(folder.Incoming).GetFiles(),
            .. new DirectoryInfo(folder.Backups).GetFiles("*.part")];
        List<FileInfo> gone = [.. files.Where(f => f.Extension == ".part" && now - f.LastWriteTimeUtc > PartsAfter)];
        gone.AddRange(files.Where(f => f.DirectoryName == folder.Incoming && f.Extension != ".part" && now - f.LastWriteTimeUtc > OrphansAfter));
        // What is young may belong to a form that is still being sent.
        List<FileInfo> pictures = [.. files.Where(f => f.DirectoryName == folder.Pictures && f.Extension != ".part"
            && now - f.LastWriteTimeUtc > OrphansAfter)];
        if (pictures.Count > 0)
        {
            HashSet<string> named = [.. (await db.Set<Picture>().AsNoTracking().Select(p => p.File).Distinct().ToListAsync(cancel).ConfigureAwait(false))
                .Select(Stem)];
            gone.AddRange(pictures.Where(f => !named.Contains(Stem(f.Name))));
        }
        foreach (FileInfo file in gone)
        {
            file.Delete();
        }
        return gone.Count;
    }

    private static string Stem(string name) => name.Split('.')[0];
}
