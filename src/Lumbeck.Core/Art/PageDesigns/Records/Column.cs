using System.Text.RegularExpressions;

namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>What a column is filled in with.</summary>
public enum ColumnKind { Text, Tick, Rating, Number, Date }

/// <summary>A column of a table: its head, what is written in it, and how wide it is.</summary>
/// <param name="Head">Above it.</param>
/// <param name="Kind">Running numbers are printed, and so are boxes to tick, dots to rate by and the strokes of a
/// date.</param>
/// <param name="Share">Its share of what is left beside columns of a length.</param>
public sealed partial record Column(string Head, ColumnKind Kind = ColumnKind.Text, decimal Share = 1)
{
    /// <summary>Its width, in place of a share.</summary>
    public Length? Wide { get; init; }

    /// <summary>Most columns of a table.</summary>
    public const int Most = 24;

    private static readonly (string Word, ColumnKind Kind)[] Kinds =
    [
        ("tick", ColumnKind.Tick), ("rating", ColumnKind.Rating), ("number", ColumnKind.Number),
            ("date", ColumnKind.Date),
    ];

    [GeneratedRegex(@"^(?<head>.*?)(?:\s+(?<kind>tick|rating|number|date))?(?:\s+(?<wide>\d+(?:[.,]\d+)?)\s*(?<unit>mm|cm|in|pt|"")?)?$",
        RegexOptions.CultureInvariant | RegexOptions.IgnoreCase)]
    private static partial Regex Given();

    /// <summary>Columns as they are typed: “weather 2 · stores · queen tick 14 mm”.</summary>
    public static ValueKind<ImmutableArray<Column>> Kinded { get; } = new(
        (c, t) => string.Join(" · ", c.Select(x => x.Show(t.Unit))), (s, t) => Read(s, t.Unit),
        c => new(Words: string.Join(" · ", c.Select(x => x.Show(Unit.Millimetre)))),
        v => Read(v.Words ?? "", Unit.Millimetre))
    {
        IsSound = c => !c.IsDefaultOrEmpty && c.Length <= Most && c.All(x => x is not null && x.Share is > 0 and <= 100
            && (x.Wide is not { } w || (w.Units > 0 && w <= Length.FromMillimetres(1000)))
                && x.Head is { Length: <= 60 }
            && !x.Head.Contains('·') && Enum.IsDefined(x.Kind)),
    };

    private string Show(Unit unit)
    {
        var kind = Kinds.FirstOrDefault(k => k.Kind == Kind).Word is { } word ? " " + word : "";
        var wide = Wide is { } w ? " " + w.Show(unit) : Share == 1 ? "" : " " + Typed.Show(Share, "");
        return (Head + kind + wide).Trim();
    }

    /// <exception cref="Refusal">There is none, or too many, or a width can't be.</exception>
    private static ImmutableArray<Column> Read(string text, Unit unit)
    {
        string[] parts = text.Split(['·', '\n', ';'], StringSplitOptions.TrimEntries);
        if (parts.All(p => p.Length == 0))
            throw Typed.No("a table needs columns: type their heads with · between, such as date · place 2 · " +
                "seen tick");
        if (parts.Length > Most) throw Typed.No($"{parts.Length} columns are more than fit a page: from 1 to {Most}");
        return [.. parts.Select(p => One(p, unit))];
    }

    private static Column One(string text, Unit unit)
    {
        var m = Given().Match(text);
        var head = Plain.Line(m.Groups["head"].Value);
        if (head.Length > 60) throw Typed.No($"a column’s head of {head.Length} letters is too long: from 0 to 60");
        var kind = Kinds.FirstOrDefault(k => k.Word.Equals(m.Groups["kind"].Value, StringComparison.OrdinalIgnoreCase))
            .Kind;
        if (!m.Groups["wide"].Success) return new(head, kind);
        if (m.Groups["unit"].Success)
            return Typed.Length(m.Groups["wide"].Value + " " + m.Groups["unit"].Value, unit) is { Units: > 0 } wide
                ? new(head, kind) { Wide = wide }
                : throw Typed.No($"a column of {m.Groups["wide"].Value} {m.Groups["unit"].Value} can't be: from 1 " +
                    $"mm on");
        var share = decimal.Parse(m.Groups["wide"].Value.Replace(',', '.'), CultureInfo.InvariantCulture);
        return share is > 0 and <= 100
            ? new(head, kind, share)
            : throw Typed.No($"a column can't have {share} shares: from 0.1 to 100");
    }
}
