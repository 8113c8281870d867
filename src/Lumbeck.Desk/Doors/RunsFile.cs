using System.Text.Json;

namespace Lumbeck.Desk.Doors;

/// <summary>
/// Runs as a JSON file (docs/inside.md, Runs as a file): designs by their words, settings under their names with a
/// unit,
/// and one word that says how far each run goes.
/// </summary>
public static class RunsFile
{
    /// <summary>Largest file, in bytes.</summary>
    public const int MostBytes = 2_000_000;

    private static readonly string[] Reaches = ["pages", "spreads", "sets", "rows", "days", "weeks", "months", "rest",
        "needed"];

    /// <param name="json">The file.</param>
    /// <param name="table">Opens a table by the name that a run gives.</param>
    /// <exception cref="Refusal">It is no such file; the run, the member and what would do are named.</exception>
    public static Inside Read(string json, Func<string, TableRef> table)
    {
        JsonDocument file;
        try
        {
            file = JsonDocument.Parse(json,
                new() { CommentHandling = JsonCommentHandling.Skip, AllowTrailingCommas = true, MaxDepth = 12 });
        }
        catch (JsonException e)
        {
            throw new Refusal("--runs", $"this runs file is no JSON (line {(e.LineNumber ?? 0) + 1})");
        }
        using (file)
        {
            var root = file.RootElement;
            if (root.ValueKind != JsonValueKind.Object) throw No("runs", "it is one JSON object with `runs`");
            var inside = new Inside();
            foreach (var p in root.EnumerateObject())
                inside = p.Name switch
                {
                    "pages" => inside with
                    {
                        Fixed = p.Value.ValueKind == JsonValueKind.String && p.Value.GetString() == "free" ? null
                        : Whole(p.Value, "pages", Inside.MostPages)
                    },
                    "bleed" => inside with { Bleeds = Flag(p.Value, "bleed") },
                    "margins_mm" => inside with { Margins = Margins(p.Value).Over(inside.Margins) },
                    "folio" => inside with
                    {
                        Folio = inside.Folio with
                        {
                            Place = Flag(p.Value, "folio") ? FolioPlace.OuterFoot : FolioPlace.None,
                        },
                    },
                    "tabs" => inside with { Tabs = Tabs(p.Value, inside.Tabs) },
                    "first_weekday" => inside with
                    {
                        Calendar = inside.Calendar with
                        {
                            First = One(p.Value, "first_weekday", ("monday", DayOfWeek.Monday),
                                ("sunday", DayOfWeek.Sunday), ("saturday", DayOfWeek.Saturday)),
                        },
                    },
                    "language" => inside with { Calendar = inside.Calendar with { Language = Coded(p.Value) } },
                    "week_numbers" => inside with
                    {
                        Calendar = inside.Calendar with { Numbers = Flag(p.Value, "week_numbers") },
                    },
                    "dated_notes" => inside with
                    {
                        Calendar = inside.Calendar with { Notes = table(Text(p.Value, "dated_notes")) },
                    },
                    "runs" => inside with { Runs = [.. Items(p.Value, "runs").Select((r, n) => Run(r, n + 1, table))] },
                    _ => throw No(p.Name, "a runs file has pages, bleed, margins_mm, folio, tabs, first_weekday, language, week_numbers, " +
                        "dated_notes and runs"),
                };
            return inside.Runs.IsEmpty
                ? throw No("runs", "at least one run, such as {\"design\":\"ruled\",\"pages\":96}")
                : inside.IsSound
                    ? inside
                    : throw No("runs", "only one run may take the rest, and figures have their ranges");
        }
    }

    private static string Coded(JsonElement e)
    {
        var code = Text(e, "language");
        return CalendarNames.Codes.Contains(code) ? code : throw No("language",
            $"one of the {CalendarNames.Codes.Count} languages with names here: {string.Join(", ", CalendarNames.Codes)}");
    }

    private static PageRun Run(JsonElement e, int number, Func<string, TableRef> table)
    {
        if (e.ValueKind != JsonValueKind.Object) throw No("runs", $"run {number} is no object");
        return Attempt.Telling(r => new("--runs", $"run {number}: {r.Message}"), () => Run(e, $"run-{number}", table));
    }

    private static PageRun Run(JsonElement e, string id, Func<string, TableRef> table)
    {
        var words = e.TryGetProperty("design", out var d)
            ? d.ValueKind == JsonValueKind.Array
            ? [.. d.EnumerateArray().Select(w => Text(w, "design"))]
            : (string[])[Text(d, "design")] : throw No("design", "each run says one, such as `ruled`");
        var run = new PageRun { Id = id, Designs = [.. words.Select(DesignShelf.Of)] };
        var reaches = e.EnumerateObject().Count(p => Reaches.Contains(p.Name));
        if (reaches != 1) throw No("pages", $"a run takes one of {string.Join(", ", Reaches)}; this has {reaches}");
        foreach (var p in e.EnumerateObject())
            run = p.Name switch
            {
                "design" => run,
                "name" => run with { Name = Plain.Line(Text(p.Value, "name")) },
                "settings" => Settings(run, p.Value),
                "pages" => run with { Goes = RunKind.Pages, Count = Whole(p.Value, "pages", Inside.MostPages) },
                "spreads" => run with { Goes = RunKind.Spreads, Count = Whole(p.Value, "spreads", Inside.MostPages) },
                "sets" => run with { Goes = RunKind.Sets, Count = Whole(p.Value, "sets", Inside.MostPages) },
                "rest" => run with
                {
                    Goes = Flag(p.Value, "rest") ? RunKind.Rest : throw No("rest", "`true`, or another reach"),
                },
                "needed" => run with
                {
                    Goes = Flag(p.Value, "needed") ? RunKind.Needed : throw No("needed", "`true`, or another reach"),
                },
                "rows" => run with { Goes = RunKind.Rows, Table = table(Text(p.Value, "rows")) },
                "days" => Timed(run, RunKind.Days, p.Value),
                "weeks" => Timed(run, RunKind.Weeks, p.Value),
                "months" => Timed(run, RunKind.Months, p.Value),
                "begin" => run with
                {
                    Begins = One(p.Value, "begin", ("next", BeginsOn.Next), ("odd", BeginsOn.Odd),
                        ("even", BeginsOn.Even)),
                },
                "backs" => run with
                {
                    Backs = One(p.Value, "backs", ("pages", Backs.Pages), ("blank", Backs.Blank),
                        ("solid", Backs.Solid), ("note", Backs.Note)),
                },
                "back_note" => run with { BackNote = Plain.Line(Text(p.Value, "back_note")) },
                "folio" => run with { Folio = Flag(p.Value, "folio") },
                "tab" => run with { Tab = Flag(p.Value, "tab") },
                "margins_mm" => run with { Margins = Margins(p.Value) },
                _ =>
                    throw No(p.Name,
                        "a run has design, name, settings, how far it goes, begin, backs, back_note, folio, tab and margins_mm"),
            };
        return run.IsSound ? run : throw No("design", "figures have their ranges");
    }

    /// <summary>Settings by their names: figures under names that end in their unit, all else as it is typed.</summary>
    private static PageRun Settings(PageRun run, JsonElement e)
    {
        if (e.ValueKind != JsonValueKind.Object) throw No("settings", "names with values, such as {\"pitch_mm\":7}");
        foreach (var p in e.EnumerateObject())
        {
            var (key, unit) = p.Name.EndsWith("_mm", StringComparison.Ordinal) ? (p.Name[..^3], " mm")
                : p.Name.EndsWith("_pt", StringComparison.Ordinal) ? (p.Name[..^3], " pt") : (p.Name, "");
            key = key.Replace('_', '-');
            var text = p.Value.ValueKind switch
            {
                JsonValueKind.Number => p.Value.GetRawText() + unit,
                JsonValueKind.String => p.Value.GetString()!,
                JsonValueKind.True => "yes",
                JsonValueKind.False => "no",
                _ => throw No(p.Name, "a figure, words, true or false"),
            };
            run = run with
            {
                Designs = [.. run.Designs.Select((d, n) =>
                {
                    var field = d.Fields.FirstOrDefault(f => f.Key == key);
                    if (field is null)
                        return n > 0
                            ? d
                            : throw No(p.Name,
                                $"{d.Kind} has {string.Join(", ", d.Fields.Where(f => !f.TakesPaint).Select(f => f.Key))}");
                    return d.With(key, field.Read(text, new(Unit.Millimetre, [], [])), p.Name);
                })],
            };
        }
        return run;
    }

    private static PageRun Timed(PageRun run, RunKind goes, JsonElement e)
    {
        if (e.ValueKind != JsonValueKind.Object)
            throw No("weeks", "a stretch: {\"from\":\"2026-01-01\",\"to\":\"2026-12-31\"}");
        foreach (var p in e.EnumerateObject())
            run = p.Name switch
            {
                "from" => run with { From = CalendarSpan.Read(Text(p.Value, "from")) },
                "to" => run with { To = CalendarSpan.Read(Text(p.Value, "to")) },
                "count" => run with
                {
                    Weeks = One(p.Value, "count", ("touching", WeekCount.Touching), ("iso", WeekCount.Iso)),
                },
                _ => throw No(p.Name, "a stretch has from, to and count"),
            };
        return CalendarSpan.Fault(run.From, run.To) is { } fault ? throw No("from", fault) : run with { Goes = goes };
    }

    private static PageMargins Margins(JsonElement e)
    {
        var margins = new PageMargins();
        if (e.ValueKind != JsonValueKind.Object)
            throw No("margins_mm", "head, fore_edge, foot and gutter in millimetres");
        foreach (var p in e.EnumerateObject())
        {
            var wide = Millimetres(p.Value, p.Name);
            margins = p.Name switch
            {
                "head" => margins with { Head = wide },
                "fore_edge" => margins with { ForeEdge = wide },
                "foot" => margins with { Foot = wide },
                "gutter" => margins with { Gutter = wide },
                _ => throw No(p.Name, "margins are head, fore_edge, foot and gutter"),
            };
        }
        return margins;
    }

    private static ThumbIndex Tabs(JsonElement e, ThumbIndex tabs)
    {
        if (e.ValueKind != JsonValueKind.Object) throw No("tabs", "head_mm, foot_mm, gap_mm and depth_mm");
        foreach (var p in e.EnumerateObject())
        {
            var wide = Millimetres(p.Value, p.Name);
            tabs = p.Name switch
            {
                "head_mm" => tabs with { Head = wide },
                "foot_mm" => tabs with { Foot = wide },
                "gap_mm" => tabs with { Gap = wide },
                "depth_mm" => tabs with { Depth = wide },
                _ => throw No(p.Name, "tabs have head_mm, foot_mm, gap_mm and depth_mm"),
            };
        }
        return tabs;
    }

    private static Length Millimetres(JsonElement e, string key) => e.ValueKind == JsonValueKind.Number
        && e.TryGetDecimal(out var mm)
        && mm is >= 0 and <= 200 ? Length.FromMillimetres(mm) : throw No(key, "a number from 0 to 200 mm");

    private static int Whole(JsonElement e, string key, int most) => e.ValueKind == JsonValueKind.Number
        && e.TryGetInt32(out var n)
        && n >= 1 && n <= most
            ? n
            : throw No(key, $"a whole number from 1 to {most}, not {LengthText.Clip(e.GetRawText())}");

    private static bool Flag(JsonElement e, string key) => e.ValueKind switch
    {
        JsonValueKind.True => true,
        JsonValueKind.False => false,
        _ => throw No(key, "`true` or `false`"),
    };

    private static string Text(JsonElement e, string key) => e.ValueKind == JsonValueKind.String
        && e.GetString() is { Length: <= 20_000 } s
        ? s
        : throw No(key, "a text in quotes");

    private static IEnumerable<JsonElement> Items(JsonElement e, string key) => e.ValueKind == JsonValueKind.Array
        ? e.GetArrayLength() <= Inside.MostRuns ? e.EnumerateArray() : throw No(key, $"{Inside.MostRuns} runs at most")
        : throw No(key, "a list in square brackets");

    private static T One<T>(JsonElement e, string key, params (string Word, T Value)[] words)
    {
        foreach (var (word, value) in words)
            if (e.ValueKind == JsonValueKind.String && e.GetString() == word) return value;
        throw No(key, $"one of {string.Join(", ", words.Select(w => w.Word))}");
    }

    private static Refusal No(string key, string wanted) => new("--runs", $"`{LengthText.Clip(key)}` takes {wanted}");
}
