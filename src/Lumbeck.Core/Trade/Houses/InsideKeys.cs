using System.Text.Json;

namespace Lumbeck.Core.Trade.Houses;

/// <summary>The keys of a house file about pages that are made here.</summary>
internal static class InsideKeys
{
    private static readonly (string, PageBleed)[] Bleeds =
        [("none", PageBleed.None), ("three", PageBleed.Three), ("four", PageBleed.Four)];

    public static IReadOnlyList<HouseKey> All { get; } =
    [
        HouseKeys.Choice("inside_bleed", "Where pages that bleed run past the cut: none, three sides (not at the " +
            "fold) or four.",
            h => h.Inside.Bleed, With<PageBleed>((i, v) => i with { Bleed = v }), Bleeds),
        HouseKeys.Len("inside_bleed_mm", "How far pages that bleed run past each cut.", h => h.Inside.BleedWidth,
            With<Length>((i, v) => i with { BleedWidth = v })) with { Called = "inside bleed runs out" },
        new("gutter_mm", "Least gutter by pages as printed: [[up to pages, mm], …], or such lists by binding; it " +
            "never falls.",
            (h, e) => h with { Inside = h.Inside with { Gutters = Gutters(e) } }, h => Write(h.Inside.Gutters),
                KeyKind.Gutters),
        HouseKeys.Len("inside_margin_mm", "Least margin of pages in a book that does not bleed.", h => h.Inside.Margin,
            With<Length>((i, v) => i with { Margin = v })),
        HouseKeys.Len("inside_margin_bleed_mm", "Least margin of pages in a book that bleeds.", h => h.Inside.MarginWithBleed,
            With<Length>((i, v) => i with { MarginWithBleed = v })),
        HouseKeys.List("inside_kinds", "Files of pages taken, the preferred first: x4, x1a, pdf.",
            h => h.Inside.Kinds.Select(k => k.Word), (h, e) => h with
            {
                Inside = h.Inside with
                {
                    Kinds = [.. e.Select(x =>
                        HouseValue.Choice(x, "inside_kinds", [.. PressKind.ForPrinters.Select(k => (k.Word, k))]))],
                },
            })
            with
        { Choices = [.. PressKind.ForPrinters.Select(k => k.Word)] },
        HouseKeys.Text("inside_condition", "The printing condition of pages, as registered.", h => h.Inside.Condition,
            With<string>((i, v) => i with { Condition = v })),
        HouseKeys.Text("inside_profile", "The press profile that pages in colour are converted to.", h => h.Inside.Profile,
            With<string>((i, v) => i with { Profile = v })),
        HouseKeys.Number("inside_ink_limit_percent", "Most total ink anywhere on a page, in percent.", 100, 400, h => h.Inside.InkLimit,
            With<decimal>((i, v) => i with { InkLimit = v })),
        HouseKeys.Points("inside_rule_min_pt", "Thinnest rule of a page that prints whole.", 0, 6, h => h.Inside.RuleLeast,
            With<Length>((i, v) => i with { RuleLeast = v })),
        HouseKeys.Number("inside_tint_min_percent", "Lightest tint that holds on a page.", 0, 40, h => h.Inside.TintLeast,
            With<decimal>((i, v) => i with { TintLeast = v })),
        HouseKeys.Flag("inside_last_page_blank", "Whether the last page stays blank, for the printer’s own mark.",
            h => h.Inside.LastPageBlank, With<bool>((i, v) => i with { LastPageBlank = v })),
        HouseKeys.Choice("inside_marks", "Printer's marks wanted round pages: none, crop, crop and bleed, or on the maker's wish.",
            h => h.Inside.Marks,
            With<Marks>((i, v) => i with { Marks = v }),
            ("none", Marks.None), ("crop", Marks.Crop), ("crop-and-bleed", Marks.CropAndBleed),
            ("on-wish", Marks.OnWish)),
        HouseKeys.Len("inside_glue_mm", "Without ink along the bound edge of the first and the last page, where the " +
            "cover is glued on.",
            h => h.Inside.Glue, With<Length>((i, v) => i with { Glue = v })),
        HouseKeys.Text("inside_file_name",
            "How the file of pages is named, from {title} {author} {isbn} {house} {pages} {width} {height} {spine} " +
                "{kind}.",
            h => h.Inside.FileName, With<string>((i, v) => i with { FileName = v })),
    ];

    private static Func<House, T, House> With<T>(Func<InsideRules, T, InsideRules> set) =>
        (h, v) => h with { Inside = set(h.Inside, v) };

    /// <summary>
    /// Gutters as they are typed: “up to 150 pages: 12 mm”, with a binding’s word before where it is of one.
    /// </summary>
    public static string Show(House house) => string.Join('\n', house.Inside.Gutters.SelectMany(t => t.Steps.Select(s =>
        $"{(t.Binding is { } b ? b.Word() + ", " : "")}up to {s.UpTo} pages: {s.Wide.Show(house.Unit)}")));

    /// <exception cref="Refusal">A line can’t be read.</exception>
    public static object Typed(string text, Unit unit)
    {
        var tables = new Dictionary<string, List<object[]>>();
        foreach (var line in text.Split('\n', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries))
        {
            var parts = line.Split(':', 2, StringSplitOptions.TrimEntries);
            var binding = parts[0].Contains(',') ? parts[0].Split(',')[0].Trim() : "";
            var pages = parts[0].Split(' ').Select(w => LengthText.Number(w)).OfType<decimal>().ToList();
            if (parts.Length < 2 || pages.Count != 1 || !LengthText.TryParse(parts[1], unit, out var wide, out _))
                throw new Refusal("gutter_mm",
                    $"`{LengthText.Clip(line)}` is no gutter: type such as `up to 150 pages: 12 mm`");
            if (!tables.TryGetValue(binding, out var steps)) tables[binding] = steps = [];
            steps.Add([pages[0], wide.Millimetres]);
        }
        return tables is { Count: 1 } && tables.TryGetValue("", out var alone) ? alone : tables;
    }

    private static object Write(ImmutableList<GutterTable> gutters)
    {
        static object steps(GutterTable t) =>
            t.Steps.Select(s => new object[] { s.UpTo, s.Wide.Millimetres }).ToArray();
        return gutters is [{ Binding: null } alone] ? steps(alone)
            : gutters.ToDictionary(g => g.Binding?.Word() ?? "", steps);
    }

    private static ImmutableList<GutterTable> Gutters(JsonElement e)
    {
        if (e.ValueKind == JsonValueKind.Array) return [new(Steps(e))];
        if (e.ValueKind != JsonValueKind.Object)
            throw HouseValue.No("gutter_mm", e, "steps such as `[[150, 12], [300, 14]]`, or such lists by binding");
        ImmutableList<GutterTable> tables =
            [.. e.EnumerateObject().Select(p => new GutterTable(Steps(p.Value), p.Name is "" or "any" ? (BindingKind?)null
            : BindingKinds.Words.Any(w => w.Word == p.Name) ? BindingKinds.Words.First(w => w.Word == p.Name).Value
            : throw new Refusal("gutter_mm",
                $"`{LengthText.Clip(p.Name)}` is no binding: take " +
                    $"{string.Join(", ", BindingKinds.Words.Select(w => w.Word))}, or any")))];
        return tables.Any(t => t.Binding is null) ? tables
            : throw new Refusal("gutter_mm",
                "`gutter_mm` by binding needs steps under `any` too, for those it names none for");
    }

    private static ImmutableList<GutterStep> Steps(JsonElement e)
    {
        ImmutableList<GutterStep> steps = [.. HouseValue.Array(e, "gutter_mm").Select(s =>
            HouseValue.Array(s, "gutter_mm").ToArray() is { Length: 2 } pair
                ? new GutterStep(HouseValue.Whole(pair[0], "gutter_mm", 1, 10_000),
                    Length.FromMillimetres(HouseValue.Number(pair[1], "gutter_mm", 0, 100, "mm")))
                : throw HouseValue.No("gutter_mm", s, "two numbers, `[up to pages, mm]`"))];
        if (steps.IsEmpty) throw HouseValue.No("gutter_mm", e, "a step at least, such as `[[150, 12]]`");
        for (var n = 1; n < steps.Count; n++)
            if (steps[n].UpTo <= steps[n - 1].UpTo || steps[n].Wide < steps[n - 1].Wide)
                throw new Refusal("gutter_mm", $"a gutter may never fall as pages grow: " +
                    $"{steps[n - 1].Wide.Show(Unit.Millimetre)} up to " +
                    $"{steps[n - 1].UpTo} pages, then {steps[n].Wide.Show(Unit.Millimetre)} up to {steps[n].UpTo}");
        return steps;
    }
}
