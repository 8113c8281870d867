namespace Lumbeck.Core.Edits;

/// <summary>Names that nothing bears yet.</summary>
public static class Free
{
    /// <summary>Whether an id is one: small letters, digits and hyphens, up to 40.</summary>
    public static bool CanBe(string id) =>
        id.Length is > 0 and <= 40 && id.All(c => char.IsAsciiLetterLower(c) || char.IsAsciiDigit(c) || c == '-')
            && id is not DrawnItem.Ground;

    /// <summary>“Take 2”: a word and the first number from <paramref name="from"/> on that make a free name.</summary>
    public static string Numbered(string word, Func<string, bool> taken, int from = 1)
    {
        for (var n = from; ; n++)
            if ($"{word} {n.ToString(CultureInfo.InvariantCulture)}" is var name && !taken(name)) return name;
    }

    /// <summary>An id as it is wanted, numbered from 2 where it is taken; “id” where it is none.</summary>
    public static string Id(string wanted, Func<string, bool> taken)
    {
        if (!CanBe(wanted)) wanted = "id";
        var (free, stem) = (wanted, wanted[..Math.Min(30, wanted.Length)]);
        for (var n = 2; taken(free); n++) free = string.Create(CultureInfo.InvariantCulture, $"{stem}-{n}");
        return free;
    }

    /// <summary>A name as it is wanted, numbered from 2 where it is taken.</summary>
    public static string Like(string wanted, Func<string, bool> taken) =>
        taken(wanted) ? Numbered(wanted, taken, 2) : wanted;
}
