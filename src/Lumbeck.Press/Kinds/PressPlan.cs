using Lumbeck.Press.Pdf;

namespace Lumbeck.Press.Kinds;

/// <summary>What is asked of a file: its kind, and what a maker may wish besides.</summary>
/// <param name="Kind">The kind.</param>
public sealed record PressPlan(PressKind Kind)
{
    /// <summary>Type leaves as shapes; it can't be read or found in the file then.</summary>
    public bool Outlines { get; init; }
    /// <summary>Printer's marks; null as the house has them.</summary>
    public bool? Marks { get; init; }
    /// <summary>Of a plain PDF: in sRGB, as the press would show it, instead of its inks.</summary>
    public bool Rgb { get; init; }
    /// <summary>One panel with bleed all round instead of the sheet.</summary>
    public Part Panel { get; init; } = Part.Sheet;
    /// <summary>Every panel as a page of its own, each with its bleed: back, spine, front, flaps.</summary>
    public bool EachPanel { get; init; }
    /// <summary>The word for every panel, in place of one's name.</summary>
    public const string AllPanels = "all";

    /// <summary>Panels that are pages of their own where each is asked for, in their order.</summary>
    internal static IReadOnlyList<Part> AsPages { get; } = [Part.Back, Part.Spine, Part.Front, Part.BackFlap, Part.FrontFlap];

    /// <summary>Of a screen proof: with the sheet's zones drawn over it.</summary>
    public bool Zones { get; init; }
    /// <summary>Of a paper mock-up: on Letter instead of A4.</summary>
    public bool Letter { get; init; }
    /// <summary>Of the front for screens: pixels of its longer side.</summary>
    public int Pixels { get; init; } = 2560;
    /// <summary>Of the front for screens: as PNG, which loses nothing, instead of JPEG.</summary>
    public bool Png { get; init; }

    /// <summary>Of the pages inside, not of the cover.</summary>
    public bool Inside { get; init; }
    /// <summary>Of pages as pictures: the first and the last of them.</summary>
    public (int First, int Last) Pages { get; init; } = (1, 1);

    /// <summary>How its file’s name ends.</summary>
    public string Ending => Kind.MadeOf switch
    {
        MadeOf.Picture => Png ? ".png" : ".jpg",
        MadeOf.PagePictures => Pages.First == Pages.Last ? ".png" : ".zip",
        _ => ".pdf",
    };

    /// <summary>Colours are a screen's.</summary>
    public bool InRgb => Kind.InRgb || (Rgb && Can(Wishes.Rgb));

    /// <summary>Nothing may let through what lies under it.</summary>
    public bool Flat => !Kind.KeepsTransparency || InRgb;

    private bool Can(Wishes wish) => Kind.Wishes.HasFlag(wish);

    /// <summary>What is wished of the file, besides its kind.</summary>
    private (Wishes Wish, string Word, bool Is)[] Wished() =>
        ((Wishes Wish, string Word, bool Is)[])
        [
            (Wishes.Outlines, "outlines", Outlines), (Wishes.Marks, "marks", Marks is true), (Wishes.Rgb, "rgb", Rgb),
            (Wishes.Panel, "panel", Panel != Part.Sheet || EachPanel), (Wishes.Zones, "zones", Zones),
            (Wishes.Letter, "letter", Letter), (Wishes.Png, "png", Png),
        ];

    /// <summary>Refuses what can't be wished of this kind.</summary>
    /// <exception cref="Refusal">The wish, and the kinds it can be asked of.</exception>
    public PressPlan Possible()
    {
        if (Kind.OfInside && !Inside) throw new Refusal("kind", $"{Kind.Title} are made of the inside: ask for it");
        if (Inside && !Kind.OfInside && !Kind.IsForPrinter)
            throw new Refusal("kind", $"a {Kind.Title} is made of the cover: of the inside take " +
                string.Join(", ", PressKind.All.Where(k => k.OfInside || k.IsForPrinter).Select(k => k.Word)));
        if (Inside && (Panel != Part.Sheet || EachPanel)) throw new Refusal("panel", "pages of an inside have no panels");
        if (Kind.MadeOf == MadeOf.PagePictures
            && (Pages.First < 1 || Pages.Last < Pages.First || Pages.Last - Pages.First >= 64))
            throw new Refusal("pages",
                $"pages {Pages.First} to {Pages.Last} can’t be made at once: up to 64, from 1 on");
        foreach (var (wish, word, wished) in Wished())
            if (wished && !Can(wish))
                throw new Refusal("kind", $"{word} can’t be asked of a {Kind.Title}: it is for " +
                    string.Join(", ", PressKind.All.Where(k => k.Wishes.HasFlag(wish)).Select(k => k.Word)));
        if (Can(Wishes.Pixels) && Pixels is < 100 or > 10_000)
            throw new Refusal("pixels", $"{Pixels} pixels can’t be made: from 100 to 10,000");
        return this;
    }

    /// <summary>
    /// In words, for a queue and a register: <c>4</c>, <c>1a+marks</c>, <c>pdf+rgb+panel=front</c>.
    /// </summary>
    public string Write()
    {
        List<string> words = [Kind.Word];
        if (Inside) words.Add("inside");
        if (Kind.MadeOf == MadeOf.PagePictures)
            words.Add(string.Create(CultureInfo.InvariantCulture, $"pages={Pages.First}-{Pages.Last}"));
        if (Outlines) words.Add("outlines");
        if (Marks is { } marks) words.Add(marks ? "marks" : "no-marks");
        if (Rgb) words.Add("rgb");
        if (Zones) words.Add("zones");
        if (Letter) words.Add("letter");
        if (EachPanel) words.Add("panel=" + AllPanels);
        else if (Panel != Part.Sheet) words.Add("panel=" + Panel.Word());
        if (Can(Wishes.Pixels)) words.Add(string.Create(CultureInfo.InvariantCulture, $"pixels={Pixels}"));
        if (Png && Can(Wishes.Png)) words.Add("png");
        return string.Join('+', words);
    }

    /// <summary>For people: “PDF/X-4, type as outlines”.</summary>
    public string Say()
    {
        List<string> words = [Kind.Title];
        if (Inside && !Kind.OfInside) words.Add("inside");
        if (Kind.MadeOf == MadeOf.PagePictures)
            words.Add(Pages.First == Pages.Last ? $"page {Pages.First}" : $"pages {Pages.First} to {Pages.Last}");
        if (EachPanel) words.Add("each panel a page");
        else if (Panel != Part.Sheet) words.Add($"{Panel.Say()} alone");
        if (Outlines) words.Add("type as outlines");
        if (Marks is true) words.Add("with marks");
        if (Rgb) words.Add("in sRGB");
        if (Zones) words.Add("with zones");
        if (Can(Wishes.Letter)) words.Add(Letter ? "on Letter" : "on A4");
        if (Can(Wishes.Pixels))
            words.Add(string.Create(CultureInfo.InvariantCulture, $"{Pixels} pixels{(Png ? ", PNG" : "")}"));
        return string.Join(", ", words);
    }

    /// <exception cref="Refusal">It says nothing that can be made.</exception>
    public static PressPlan Read(string text)
    {
        var words = text.Split('+');
        var kind = PressKind.Of(words[0]);
        var plan = new PressPlan(kind) { Inside = kind.OfInside };
        foreach (var word in words.Skip(1))
            plan = word.Split('=') switch
            {
                ["inside"] => plan with { Inside = true },
                ["pages", var range] when range.Split('-') is [var a, var b]
                    && int.TryParse(a, CultureInfo.InvariantCulture, out var first)
                    && int.TryParse(b, CultureInfo.InvariantCulture,
                        out var last) => plan with { Pages = (first, last) },
                ["outlines"] => plan with { Outlines = true },
                ["marks"] => plan with { Marks = true },
                ["no-marks"] => plan with { Marks = false },
                ["rgb"] => plan with { Rgb = true },
                ["zones"] => plan with { Zones = true },
                ["png"] => plan with { Png = true },
                ["letter"] => plan with { Letter = true },
                ["panel", AllPanels] => plan with { EachPanel = true },
                ["panel", var name] when Parts.TryParse(name, out var part) => plan with { Panel = part },
                ["pixels", var n] when int.TryParse(n, CultureInfo.InvariantCulture, out var pixels)
                    && pixels is >= 100 and <= 10_000 => plan with { Pixels = pixels },
                _ => throw new Refusal("kind", $"`{LengthText.Clip(word)}` can’t be asked of a file"),
            };
        return plan;
    }
}
