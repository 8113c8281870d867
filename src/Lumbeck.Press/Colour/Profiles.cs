using System.Collections.Concurrent;

namespace Lumbeck.Press.Colour;

/// <summary>
/// The colour profiles: those that ship, files <c>profiles/name.icc</c> beside the program, and printers' own under the
/// hash of their bytes.
/// </summary>
public static class Profiles
{
    private static readonly string Shipped = Path.Combine(AppContext.BaseDirectory, "profiles");
    // A name of a printer's own profile says what is in it, so that it is the same wherever it lies.
    private static readonly ConcurrentDictionary<string, string> Own = new();

    /// <summary>Makes a printer's own profile known under its name.</summary>
    public static void Know(string name, string path) => Own[name] = path;

    /// <summary>Whether a printer's own profile is known, and its file is there.</summary>
    public static bool Has(string name) => Own.TryGetValue(name, out var own) && File.Exists(own);

    /// <exception cref="Refusal">No such profile is here.</exception>
    public static string PathOf(string name)
    {
        if (Own.TryGetValue(name, out var own) && File.Exists(own)) return own;
        var file = Path.Combine(Shipped, Path.GetFileName(name) + ".icc");
        return File.Exists(file)
            ? file
            : throw new Refusal("profile",
                $"no profile is called `{LengthText.Clip(name)}`: the printer names one that is not here");
    }

    public static byte[] Bytes(string name) => File.ReadAllBytes(PathOf(name));
}

/// <summary>
/// How colour comes to the press: through which profile, and how what it can't show is brought into it.
/// </summary>
public sealed record PrintingCondition(string Profile, Intent Intent = Intent.Relative)
{
    public static PrintingCondition Of(House house) => new(house.Profile, house.Intent);
}
