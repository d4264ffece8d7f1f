namespace Foundling.Shared;

/// <summary>The tree of sources the tests were built from.</summary>
public static class Tree
{
    /// <summary>Its folder.</summary>
    public static string Root { get; } = Above(AppContext.BaseDirectory);

    private static string Above(string folder) => File.Exists(System.IO.Path.Combine(folder, "Foundling.slnx")) ? folder
        : Above(System.IO.Path.GetDirectoryName(folder)!);

    /// <summary>A place in it.</summary>
    public static string Path(params string[] parts) => System.IO.Path.Combine([Root, .. parts]);
}
