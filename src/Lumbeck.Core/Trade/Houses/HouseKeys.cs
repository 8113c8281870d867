using System.Text.Json;

namespace Lumbeck.Core.Trade.Houses;

/// <summary>How a key's value is typed and shown on a page.</summary>
public enum KeyKind { Text, Flag, Length, Figure, Size, Mix, Choice, Words, Papers, Trims, Severities, Gutters }

/// <summary>
/// One key of a house file: its name, what it means, its default in words, and how it is read and written.
/// </summary>
public sealed record HouseKey(string Name, string Means, Func<House, JsonElement, House> Read,
    Func<House, object?> Write, KeyKind Kind, string Unit = "")
{
    /// <summary>What can be picked, where the key takes one or some of several words.</summary>
    public IReadOnlyList<string> Choices { get; init; } = [];

    /// <summary>A word of the file as people read it: “foot middle”, “PDF/X-4”.</summary>
    public static string Said(string word) =>
        PressKind.ForPrinters.FirstOrDefault(k => k.Word == word)?.Title ?? word.Replace('-', ' ');

    /// <summary>What people call it, where its name without the unit is another key’s.</summary>
    public string? Called { get; init; }

    /// <summary>The key as people read it: “spine step”.</summary>
    public string Label
    {
        get
        {
            if (Called is not null) return Called;
            var bare = Name;
            foreach (var unit in (string[])["_mm", "_pt", "_ppi", "_mb", "_percent"])
                if (bare.EndsWith(unit, StringComparison.Ordinal)) bare = bare[..^unit.Length];
            var (least, most) = bare.Contains("pages", StringComparison.Ordinal)
                ? ("fewest ", "most ")
                : ("smallest ", "largest ");
            var limit = bare.EndsWith("_min", StringComparison.Ordinal)
                ? least
                : bare.EndsWith("_max", StringComparison.Ordinal)
                ? most
                : "";
            return limit + (limit.Length > 0 ? bare[..^4] : bare).Replace("gsm", "grammage", StringComparison.Ordinal)
                .Replace('_', ' ');
        }
    }

    /// <summary>The default as a house file would write it.</summary>
    public object? Default => Write(new House());
}

/// <summary>
/// Every key a house file may hold, in the order people read them. Lengths are millimetres under names that end in
/// <c>_mm</c>, type sizes points under <c>_pt</c>, resolutions pixels per inch under <c>_ppi</c>. Unknown keys and
/// impossible values are refused by name (docs/house-file.md).
/// </summary>
public static class HouseKeys
{
    private static readonly decimal MostMm = 500;

    /// <summary>The key of this name, or null.</summary>
    public static HouseKey? Find(string name) => All.FirstOrDefault(k => k.Name == name);

    /// <summary>Who reads a key, in words: by the heading it stands under.</summary>
    public static string ReadBy(HouseKey key)
    {
        var heading = "";
        foreach (var k in All)
        {
            heading = Groups.FirstOrDefault(g => g.First == k.Name).Heading ?? heading;
            if (k == key) break;
        }
        return heading switch
        {
            "The printer" or "What is bound" or "Pages and spine" => "the ticket reads it",
            "Ink" or "The file" => "it is read when the file is made",
            "Pages of the inside" => "it is read when pages are laid out and pressed",
            _ => "it is read when the cover is looked over",
        };
    }

    /// <summary>Keys under the headings people look for them by: the first key of each group.</summary>
    public static IReadOnlyList<(string Heading, string First)> Groups { get; } =
        [("The printer", "id"), ("What is bound", "bindings"), ("Pages and spine", "page_multiple"),
            ("Edges", "bleed_mm"), ("Case and jacket", "case_bleed_mm"), ("Drift", "trim_drift_mm"),
            ("Barcode", "barcode_room_mm"), ("Ink", "output_condition"), ("Type, rules, pictures", "text_min_pt"),
            ("The file", "kinds"), ("Pages of the inside", "inside_bleed"), ("Rules weighed otherwise", "severities")];

    public static IReadOnlyList<HouseKey> All { get; } =
    [
        Text("id", "Short name used in addresses and on the command line.", h => h.Id, (h, v) => h with { Id = v }),
        Text("name", "The printer's name as makers know it.", h => h.Name, (h, v) => h with { Name = v }),
        Text("about", "One sentence on what the printer prints.", h => h.About, (h, v) => h with { About = v }),
        Choice("unit", "The unit the printer speaks: mm or in.", h => h.Unit, (h, v) => h with { Unit = v },
            ("mm", Unit.Millimetre), ("in", Unit.Inch)),

        List("bindings", "What the printer binds.", h => h.Bindings.Select(b => b.Word()),
            (h, e) => h with { Bindings = [.. e.Select(x => HouseValue.Choice(x, "bindings", BindingKinds.Words))] })
            with
        { Choices = [.. BindingKinds.Words.Select(w => w.Word)] },
        List("papers",
            "Inside papers: name with leaf_mm, page_thickness_mm, ppi or gsm and bulk; gsm, pages_min and pages_max " +
                "where known.",
            h => h.Papers.Select(HousePapers.Write), (h, e) => h with { Papers = [.. e.Select(HousePapers.Read)] },
            KeyKind.Papers),
        List("trims", "The printer's usual trim sizes: [width, height, name].",
            h =>
                h.Trims.Select(t =>
                    (object)new object[] { t.Size.Width.Millimetres, t.Size.Height.Millimetres, t.Name }),
            (h, e) => h with { Trims = [.. e.Select(HousePapers.ReadTrim)] }, KeyKind.Trims),
        Pair("trim_min_mm", "Smallest trim the printer cuts.", h => h.TrimLeast, (h, v) => h with { TrimLeast = v }),
        Pair("trim_max_mm", "Largest trim the printer cuts.", h => h.TrimMost, (h, v) => h with { TrimMost = v }),
        new("sheet_max_mm", "Largest sheet the press takes, either way round.",
            (h, e) => h with { SheetMost = HouseValue.Pair(e, "sheet_max_mm", 3000) },
            h => new[] { h.SheetMost.Width.Millimetres, h.SheetMost.Height.Millimetres }, KeyKind.Size),
        Flag("flaps", "Whether paperbacks may have flaps.", h => h.Flaps, (h, v) => h with { Flaps = v }),
        List("finishes", "Laminates and varnishes offered over the whole cover.", h => h.Finishes,
            (h, e) => h with { Finishes = [.. e.Select(x => HouseValue.Text(x, "finishes"))] }),

        Count("page_multiple",
            "Pages are raised to a multiple of this: 2 for single leaves, 4 for folded sheets, 16 or 32 where " +
                "sections are sewn.",
            2, 64, h => h.PageMultiple, (h, v) => h with { PageMultiple = v }),
        Count("pages_min", "Fewest pages bound.", 2, 5000, h => h.PagesLeast, (h, v) => h with { PagesLeast = v }),
        Count("pages_max", "Most pages bound.", 2, 5000, h => h.PagesMost, (h, v) => h with { PagesMost = v }),
        Count("booklet_pages_min", "Fewest pages stapled.", 4, 400, h => h.BookletPagesLeast,
            (h, v) => h with { BookletPagesLeast = v }),
        Count("booklet_pages_max", "Most pages stapled.", 4, 400, h => h.BookletPagesMost,
            (h, v) => h with { BookletPagesMost = v }),
        Len("cover_allowance_mm",
            "Added to the block for the cover's own thickness; 0 where the paper's figure covers it.",
            h => h.CoverAllowance, (h, v) => h with { CoverAllowance = v }),
        MaybeNumber("cover_gsm", "Grammage of the cover paper, for the weight; blank where unknown.", 1000,
            h => h.CoverGrammage, (h, v) => h with { CoverGrammage = v }),
        MaybeNumber("board_gsm", "Grammage of the case's boards, for the weight; blank where unknown.", 5000,
            h => h.BoardGrammage, (h, v) => h with { BoardGrammage = v }),
        MaybeLen("spine_step_mm", "The step the spine is rounded to; blank where it is not rounded.", h => h.SpineStep,
            (h, v) => h with { SpineStep = v }),
        Choice("spine_rounding", "How the spine is rounded: none, nearest (ties up) or up.", h => h.SpineRounding,
            (h, v) => h with { SpineRounding = v }, ("none", Rounding.None), ("nearest", Rounding.Nearest),
            ("up", Rounding.Up)),
        Count("spine_text_pages", "Fewest pages at which text on the spine is allowed.", 0, 5000, h => h.SpineTextPages,
            (h, v) => h with { SpineTextPages = v }),
        Len("spine_text_mm", "Narrowest spine on which text is allowed.", h => h.SpineTextWidth,
            (h, v) => h with { SpineTextWidth = v }),
        Choice("spine_reading",
            "Which way spine text runs: down (head to foot), up, or by language, as books in the ticket’s language do.",
            h => h.SpineReading, (h, v) => h with { SpineReading = v }, ("down", SpineReading.Down),
            ("up", SpineReading.Up), ("language", SpineReading.ByLanguage)),
        Number("round_back_factor", "What a round back multiplies block and boards by; 1 is flat.", 1, 2,
            h => h.RoundBackFactor, (h, v) => h with { RoundBackFactor = v }),

        Len("bleed_mm", "How far the ground runs past every cut.", h => h.Bleed, (h, v) => h with { Bleed = v }),
        Len("trim_safe_mm", "How far what matters keeps from a cut or a turned edge.", h => h.TrimSafe,
            (h, v) => h with { TrimSafe = v }),
        Len("fold_safe_mm", "How far what matters keeps from a fold.", h => h.FoldSafe,
            (h, v) => h with { FoldSafe = v }),
        Len("spine_safe_mm", "How far spine text keeps from the spine's two folds.", h => h.SpineSafe,
            (h, v) => h with { SpineSafe = v }),
        MaybeLen("hinge_score_mm",
            "Width of the hinge score beside a paperback's spine, background only; blank where none is made.",
            h => h.HingeScore, (h, v) => h with { HingeScore = v }),
        Len("flap_mm", "Width of a flap.", h => h.Flap, (h, v) => h with { Flap = v }),
        Len("paperback_flap_ease_mm", "Added to a paperback's panels where flaps fold over the block.",
            h => h.PaperbackFlapEase, (h, v) => h with { PaperbackFlapEase = v }),
        Len("punch_band_mm", "Band punched along the binding edge of loose covers.", h => h.PunchBand,
            (h, v) => h with { PunchBand = v }),

        Len("case_bleed_mm", "Bleed beyond a case's turn-in; often 0.", h => h.CaseBleed,
            (h, v) => h with { CaseBleed = v }),
        Len("turn_in_mm", "What is folded round the board's edges.", h => h.TurnIn, (h, v) => h with { TurnIn = v }),
        Len("board_mm", "Thickness of the boards.", h => h.Board, (h, v) => h with { Board = v }),
        Len("square_mm", "How far boards stand out past the block at head, foot and fore-edge.", h => h.Square,
            (h, v) => h with { Square = v }),
        Len("joint_mm", "The hinge groove beside a case's spine.", h => h.Joint, (h, v) => h with { Joint = v }),
        MaybeLen("panel_allowance_mm", "A case panel's width beyond the block; the square where left out.",
            h => h.PanelAllowance, (h, v) => h with { PanelAllowance = v }),
        Len("endpapers_mm", "What endpapers add to a case's block.", h => h.Endpapers,
            (h, v) => h with { Endpapers = v }),
        Len("spine_ease_mm", "What a jacket's spine has beyond the case's.", h => h.SpineEase,
            (h, v) => h with { SpineEase = v }),
        MaybeLen("fore_edge_allowance_mm", "A jacket's way round the board's edge; the board plus 1 mm where left out.",
            h => h.ForeEdgeAllowance, (h, v) => h with { ForeEdgeAllowance = v }),

        Len("trim_drift_mm", "How far the knife may wander, each way.", h => h.TrimDrift,
            (h, v) => h with { TrimDrift = v }),
        Len("fold_drift_mm", "How far a fold may wander, each way.", h => h.FoldDrift,
            (h, v) => h with { FoldDrift = v }),

        Pair("barcode_room_mm", "The room kept for the barcode.", h => h.BarcodeRoom,
            (h, v) => h with { BarcodeRoom = v }),
        Choice("barcode_corner", "Where on the back the room lies: spine-foot, fore-edge-foot or foot-middle.",
            h => h.BarcodeCorner, (h, v) => h with { BarcodeCorner = v }, ("spine-foot", BarcodeCorner.SpineFoot),
            ("fore-edge-foot", BarcodeCorner.ForeEdgeFoot), ("foot-middle", BarcodeCorner.FootMiddle)),
        MaybeLen("barcode_from_side_mm", "The room's distance from the side it lies at; the safe inset where left out.",
            h => h.BarcodeFromSide, (h, v) => h with { BarcodeFromSide = v }),
        MaybeLen("barcode_from_foot_mm", "The room's distance from the foot; the safe inset where left out.",
            h => h.BarcodeFromFoot, (h, v) => h with { BarcodeFromFoot = v }),
        Choice("barcode_by", "Who puts the barcode on: printer (adds its own where there is none), maker (must), either.",
            h => h.BarcodeBy, (h, v) => h with { BarcodeBy = v }, ("house", BarcodeBy.House),
            ("maker", BarcodeBy.Maker), ("either", BarcodeBy.Either)),
        Number("barcode_min_percent", "Smallest magnification read at the till.", 50, 200, h => h.BarcodeLeast,
            (h, v) => h with { BarcodeLeast = v }),
        Number("barcode_max_percent", "Largest magnification.", 80, 300, h => h.BarcodeMost,
            (h, v) => h with { BarcodeMost = v }),
        Len("barcode_bar_reduction_mm", "What each bar is drawn narrower by, for ink that spreads.",
            h => h.BarcodeBarReduction, (h, v) => h with { BarcodeBarReduction = v }),
        Choice("barcode_price", "Price add-on: none, allowed or required.", h => h.BarcodePrice,
            (h, v) => h with { BarcodePrice = v }, ("none", PriceAddOn.None), ("allowed", PriceAddOn.Allowed),
            ("required", PriceAddOn.Required)),

        Text("output_condition", "The printing condition named in the file, as registered.", h => h.OutputCondition,
            (h, v) => h with { OutputCondition = v }),
        Text("profile", "The press profile that colour is converted to and shown through.", h => h.Profile,
            (h, v) => h with { Profile = v }),
        Flag("profile_embedded", "Whether the profile goes into the file, or the condition is only named.",
            h => h.ProfileEmbedded, (h, v) => h with { ProfileEmbedded = v }),
        Choice("rendering_intent", "How RGB is converted: relative, perceptual or absolute.", h => h.Intent,
            (h, v) => h with { Intent = v }, ("relative", Intent.Relative), ("perceptual", Intent.Perceptual),
            ("absolute", Intent.Absolute)),
        Choice("colour", "What colour the file may hold: cmyk, any or rgb.", h => h.Colour,
            (h, v) => h with { Colour = v }, ("cmyk", ColourWanted.Cmyk), ("any", ColourWanted.Any),
            ("rgb", ColourWanted.Rgb)),
        Number("ink_limit_percent", "Most total ink anywhere, in percent.", 100, 400, h => h.InkLimit,
            (h, v) => h with { InkLimit = v }),
        Points("black_overprint_up_to_pt", "Black text up to this size overprints.", 0, 200, h => h.BlackOverprintUpTo,
            (h, v) => h with { BlackOverprintUpTo = v }),
        Mix("rich_black", "The mix for large areas of black: [c, m, y, k].", h => h.RichBlack,
            (h, v) => h with { RichBlack = v }),
        List("finishing_inks", "Named inks for finishing: foil, varnish, emboss, white.", h => h.FinishingInks,
            (h, e) => h with { FinishingInks = [.. e.Select(x => HouseValue.Text(x, "finishing_inks"))] }),

        Points("text_min_pt", "Text under this is a caution.", 1, 24, h => h.TextLeast,
            (h, v) => h with { TextLeast = v }),
        Points("text_stop_pt", "Text under this is a stop.", 1, 24, h => h.TextStop, (h, v) => h with { TextStop = v }),
        Points("text_reversed_min_pt", "Text reversed out of colour, or on the spine, under this is a caution.", 1, 24,
            h => h.TextReversedLeast, (h, v) => h with { TextReversedLeast = v }),
        Points("rule_min_pt", "Thinnest rule that prints whole.", 0, 6, h => h.RuleLeast,
            (h, v) => h with { RuleLeast = v }),
        Points("rule_reversed_min_pt", "Thinnest rule reversed out of colour.", 0, 6, h => h.RuleReversedLeast,
            (h, v) => h with { RuleReversedLeast = v }),
        Len("edge_rule_mm", "A border nearer than this to a cut or fold shows every drift.", h => h.EdgeRule,
            (h, v) => h with { EdgeRule = v }),
        Count("picture_caution_ppi", "Pictures under this resolution are a caution.", 50, 2400, h => h.PictureCaution,
            (h, v) => h with { PictureCaution = v }),
        Count("picture_stop_ppi", "Pictures under this resolution are a stop.", 30, 2400, h => h.PictureStop,
            (h, v) => h with { PictureStop = v }),
        Count("picture_note_ppi", "Pictures over this resolution are noted.", 100, 4800, h => h.PictureNote,
            (h, v) => h with { PictureNote = v }),
        Count("picture_most_ppi", "Pictures leave at no more than this.", 100, 4800, h => h.PictureMost,
            (h, v) => h with { PictureMost = v }),
        Count("line_art_ppi", "Line art under this resolution is a caution.", 100, 4800, h => h.LineArt,
            (h, v) => h with { LineArt = v }),
        Count("line_art_most_ppi", "Line art leaves at no more than this.", 100, 4800, h => h.LineArtMost,
            (h, v) => h with { LineArtMost = v }),

        List("kinds", "Press files taken, the preferred first: x4, x1a, pdf.", h => h.Kinds.Select(k => k.Word),
            (h, e) => h with { Kinds = [.. e.Select(x =>
                HouseValue.Choice(x, "kinds", [.. PressKind.ForPrinters.Select(k => (k.Word, k))]))] })
            with
        { Choices = [.. PressKind.ForPrinters.Select(k => k.Word)] },
        Choice("marks", "Printer's marks wanted: none, crop, crop and bleed, or on the maker's wish.", h => h.Marks,
            (h, v) => h with { Marks = v }, ("none", Marks.None), ("crop", Marks.Crop),
            ("crop-and-bleed", Marks.CropAndBleed), ("on-wish", Marks.OnWish)),
        Flag("fold_marks", "Whether folds are marked outside the bleed.", h => h.FoldMarks,
            (h, v) => h with { FoldMarks = v }),
        Flag("ink_bar", "Whether an ink bar is wanted outside the bleed.", h => h.InkBar,
            (h, v) => h with { InkBar = v }),
        Flag("slug", "Whether a slug line names the job outside the bleed.", h => h.Slug,
            (h, v) => h with { Slug = v }),
        Flag("outlines_only", "Whether type must leave as outlines.", h => h.OutlinesOnly,
            (h, v) => h with { OutlinesOnly = v }),
        Text("file_name",
            "How the file is named, from {title} {author} {isbn} {house} {pages} {width} {height} {spine} {kind}.",
            h => h.FileName, (h, v) => h with { FileName = v }),
        Count("file_limit_mb", "Largest file taken, in megabytes.", 1, 10_000, h => h.FileLimit,
            (h, v) => h with { FileLimit = v }),
        .. InsideKeys.All,

        new("severities", "Rules this printer weighs otherwise: a rule's id with stop, caution or note.",
            (h, e) => h with { Severities = HouseValue.Severities(e) },
            h => h.Severities.ToDictionary(s => s.Key, s => s.Value.Word()), KeyKind.Severities),
    ];

    internal static HouseKey Text(string key, string means, Func<House, string> get, Func<House, string, House> set) =>
        new(key, means, (h, e) => set(h, HouseValue.Text(e, key)), h => get(h), KeyKind.Text);
    internal static HouseKey Flag(string key, string means, Func<House, bool> get, Func<House, bool, House> set) =>
        new(key, means, (h, e) => set(h, HouseValue.Flag(e, key)), h => get(h), KeyKind.Flag);
    internal static HouseKey Len(string key, string means, Func<House, Length> get, Func<House, Length, House> set) =>
        new(key, means, (h, e) => set(h, Length.FromMillimetres(HouseValue.Number(e, key, 0, MostMm, "mm"))),
            h => get(h).Millimetres, KeyKind.Length);
    private static HouseKey MaybeLen(string key, string means, Func<House, Length?> get,
        Func<House, Length?, House> set) =>
        new(key, means,
            (h, e) => set(h,
                e.ValueKind == JsonValueKind.Null
                    ? null
                    : Length.FromMillimetres(HouseValue.Number(e, key, 0, MostMm, "mm"))),
            h => get(h)?.Millimetres, KeyKind.Length);
    private static HouseKey MaybeNumber(string key, string means, decimal most, Func<House, decimal?> get,
        Func<House, decimal?, House> set) =>
        new(key, means,
            (h, e) => set(h, e.ValueKind == JsonValueKind.Null ? null : HouseValue.Number(e, key, 1, most, "g/m²")),
            h => get(h), KeyKind.Figure, "g/m²");
    internal static HouseKey Number(string key, string means, decimal least, decimal most, Func<House, decimal> get,
        Func<House, decimal, House> set) =>
        new(key, means, (h, e) => set(h, HouseValue.Number(e, key, least, most, "")), h => get(h), KeyKind.Figure,
            key.EndsWith("_percent", StringComparison.Ordinal) ? "%" : "");
    internal static HouseKey Points(string key, string means, decimal least, decimal most, Func<House, Length> get,
        Func<House, Length, House> set) =>
        new(key, means, (h, e) => set(h, Length.FromPoints(HouseValue.Number(e, key, least, most, "pt"))),
            h => (decimal)get(h).Points, KeyKind.Figure, "pt");
    private static HouseKey Count(string key, string means, int least, int most, Func<House, int> get,
        Func<House, int, House> set) =>
        new(key, means, (h, e) => set(h, HouseValue.Whole(e, key, least, most)), h => get(h), KeyKind.Figure,
            key.EndsWith("_ppi", StringComparison.Ordinal)
                ? "ppi"
                : key.EndsWith("_mb", StringComparison.Ordinal)
                ? "MB"
                : key.Contains("pages", StringComparison.Ordinal)
                ? "pages"
                : "");
    private static HouseKey Pair(string key, string means, Func<House, Size> get, Func<House, Size, House> set) =>
        new(key, means, (h, e) => set(h, HouseValue.Pair(e, key, MostMm)),
            h => new[] { get(h).Width.Millimetres, get(h).Height.Millimetres }, KeyKind.Size);
    private static HouseKey Mix(string key, string means, Func<House, Ink> get, Func<House, Ink, House> set) =>
        new(key, means, (h, e) => set(h, HouseValue.Mix(e, key)),
            h => get(h) switch { var i => new[] { i.C / 100m, i.M / 100m, i.Y / 100m, i.K / 100m } }, KeyKind.Mix, "%");
    internal static HouseKey Choice<T>(string key, string means, Func<House, T> get, Func<House, T, House> set,
        params (string Word, T Value)[] words) where T
        : struct =>
        new(key, means, (h, e) => set(h, HouseValue.Choice(e, key, words)),
            h => words.First(w => w.Value.Equals(get(h))).Word,
            KeyKind.Choice)
        { Choices = [.. words.Select(w => w.Word)] };
    internal static HouseKey List<T>(string key, string means, Func<House, IEnumerable<T>> get, Func<House,
        IEnumerable<JsonElement>, House> set, KeyKind kind = KeyKind.Words) =>
        new(key, means, (h, e) => set(h, HouseValue.Array(e, key)), h => get(h).ToArray(), kind);
}
