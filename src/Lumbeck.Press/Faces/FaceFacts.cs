namespace Lumbeck.Press.Faces;

/// <summary>What a face's licence bits let a printer's file hold of it (OpenType, OS/2 fsType).</summary>
public enum Embedding
{
    /// <summary>It may be embedded for any use (OS/2 fsType 0: installable).</summary>
    Free,
    /// <summary>Files that are viewed and printed, which a press file is.</summary>
    ToPrint,
    /// <summary>Only with its maker's leave: not at all as far as a program can tell.</summary>
    Never,
}

/// <summary>How wide a face runs.</summary>
public enum FaceWidth { Narrow, Usual, Wide }

/// <summary>What is known of a face from its file.</summary>
/// <param name="Embedding">What may be embedded.</param>
/// <param name="WholeOnly">It must be embedded whole, not as a subset (fsType bit 8).</param>
/// <param name="Outlines">Whether it has outlines of cubic curves (CFF).</param>
/// <param name="Width">By how wide its small letters are for their size.</param>
/// <param name="Scripts">Of the scripts that are told apart here, those it has letters for.</param>
/// <param name="Features">The OpenType features it has, by tag.</param>
/// <param name="Family">Its own family name.</param>
public sealed record FaceFacts(Embedding Embedding, bool WholeOnly, bool Outlines, FaceWidth Width,
    ImmutableArray<string> Scripts, ImmutableArray<string> Features, string Family)
{
    public bool Has(string feature) => Features.Contains(feature);
}

/// <summary>
/// Features that a maker of covers picks, with their names in words. Those a script needs, and kerning, are always on.
/// </summary>
public static class FaceFeatures
{
    public static IReadOnlyList<(string Tag, string Says)> All { get; } =
    [
        ("liga", "ligatures"), ("dlig", "rare ligatures"), ("hlig", "historical ligatures"), ("calt", "joined forms"),
            ("swsh", "swashes"), ("cswh", "swashes by place"),
        ("smcp", "small capitals"), ("c2sc", "capitals as small capitals"), ("titl", "titling capitals"),
            ("case", "marks for capitals"),
        ("onum", "old-style figures"), ("lnum", "lining figures"), ("pnum", "figures as wide as they are"),
            ("tnum", "figures of one width"), ("frac", "fractions"), ("ordn", "ordinals"), ("sups", "raised figures"),
            ("zero", "slashed zero"),
        ("ss01", "other shapes 1"), ("ss02", "other shapes 2"), ("ss03", "other shapes 3"), ("ss04", "other shapes 4"),
            ("ss05", "other shapes 5"), ("salt", "other shapes"), ("hist", "historical shapes"),
    ];

    /// <summary>Those that a face has, in words.</summary>
    public static IEnumerable<(string Tag, string Says)> Of(FaceFacts face) => All.Where(f => face.Has(f.Tag));
}

/// <summary>What the families that ship look like, and which books they suit.</summary>
public static class Families
{
    public sealed record Family(string Id, string Kind, ImmutableArray<string> Genres);

    public static IReadOnlyList<string> Genres { get; } = ["literary", "thriller", "romance", "fantasy", "history",
        "memoir", "children", "poetry", "practical", "notebook"];

    public static IReadOnlyList<Family> All { get; } =
    [
        new("amatic-sc", "hand", ["children", "romance", "notebook"]),
            new("amiri", "book serif", ["literary", "history", "poetry"]),
            new("b612-mono", "typewriter", ["practical", "notebook"]),
            new("baloo-2", "round", ["children", "practical"]),
        new("barlow-condensed", "sans", ["thriller", "practical", "notebook"]),
            new("bebas-neue", "capitals", ["thriller", "history", "practical"]),
            new("bodoni-moda", "sharp serif", ["romance", "literary", "memoir"]),
            new("caveat", "hand", ["memoir", "children", "notebook"]),
        new("cinzel", "capitals", ["fantasy", "history"]),
            new("cormorant-garamond", "sharp serif", ["literary", "poetry", "romance"]),
            new("dm-serif-display", "sharp serif", ["literary", "memoir", "romance"]),
            new("eb-garamond", "book serif", ["literary", "history", "poetry"]),
        new("frank-ruhl-libre", "book serif", ["literary", "history", "poetry"]),
            new("fraunces", "soft serif", ["memoir", "children", "practical"]),
            new("great-vibes", "script", ["romance", "poetry"]),
            new("im-fell-english-sc", "capitals", ["history", "fantasy"]),
        new("league-spartan", "sans", ["thriller", "practical", "memoir"]),
            new("libre-baskerville", "book serif", ["literary", "history", "memoir"]),
            new("libre-caslon-text", "book serif", ["history", "literary", "poetry"]),
            new("oswald", "sans", ["thriller", "practical"]),
        new("playfair-display", "sharp serif", ["romance", "literary", "history"]),
            new("source-serif-4", "book serif", ["literary", "practical", "memoir"]),
            new("special-elite", "typewriter", ["thriller", "memoir", "notebook"]),
            new("work-sans", "sans", ["practical", "memoir", "notebook"]),
        new("zen-maru-gothic", "round", ["children", "literary", "practical"]),
            new("zilla-slab", "slab serif", ["practical", "thriller", "notebook"]),
    ];

    public static IReadOnlyList<string> Kinds { get; } = [.. All.Select(f => f.Kind).Distinct()
        .Order(StringComparer.Ordinal)];

    /// <summary>A family that ships; null for one of a maker's own.</summary>
    public static Family? Of(FaceId face) => All.FirstOrDefault(f => f.Id == face.Family);
}
