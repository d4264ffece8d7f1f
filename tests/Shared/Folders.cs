namespace Foundling.Shared;

/// <summary>Folders that tests fill and throw away.</summary>
public static class Folders
{
    /// <summary>Copies all files of a folder, with the folders they are in.</summary>
    /// <param name="from">The folder.</param>
    /// <param name="to">Where its files go.</param>
    /// <param name="wanted">Which files, by their path in the folder; null for all.</param>
    public static void Copy(string from, string to, Func<string, bool>? wanted = null)
    {
        foreach (string file in Directory.GetFiles(from, "*", SearchOption.AllDirectories).Where(f => wanted?.Invoke(Path.GetRelativePath(from, f)) ?? true))
        {
            string target = Path.Combine(to, Path.GetRelativePath(from, file));
            Directory.CreateDirectory(Path.GetDirectoryName(target)!);
            File.Copy(file, target);
        }
    }

    /// <summary>A new folder that goes when the tests are over.</summary>
    /// <param name="prefix">What its name begins with.</param>
    public static string UntilTheEnd(string prefix)
    {
        string folder = Directory.CreateTempSubdirectory(prefix).FullName;
        AppDomain.CurrentDomain.ProcessExit += (_, _) => Directory.Delete(folder, recursive: true);
        return folder;
    }
}
