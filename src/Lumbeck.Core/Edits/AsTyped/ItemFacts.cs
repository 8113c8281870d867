using System.Text.RegularExpressions;

namespace Lumbeck.Core.Edits.AsTyped;

/// <summary>An item's facts: those of its kind first, then where it hangs and how large it is.</summary>
public static partial class ItemFacts
{
    private static readonly (string, HoldBox)[] Boxes = [("panel", HoldBox.Face), ("safe box", HoldBox.Safe),
        ("edge", HoldBox.Edge), ("barcode room", HoldBox.Room)];
    private static readonly (string, Anchor)[] Anchors = [("top left", Anchor.TopLeft), ("top", Anchor.Top),
        ("top right", Anchor.TopRight), ("left", Anchor.Left), ("middle", Anchor.Middle), ("right", Anchor.Right),
        ("bottom left", Anchor.BottomLeft), ("bottom", Anchor.Bottom), ("bottom right", Anchor.BottomRight)];

    private static readonly (string, Blend)[] Blends = [("normal", Blend.Normal), ("multiply", Blend.Multiply),
        ("screen", Blend.Screen)];

    [GeneratedRegex(@"^(?<share>\d+(?:[.,]\d+)?)\s*%\s*(?:(?<sign>[+−-])\s*(?<own>.+))?$",
        RegexOptions.CultureInvariant)]
    private static partial Regex Share();

    public static IReadOnlyList<Fact> Of(Item item) => [.. OfKind(item), .. OfPlace(item)];

    private static IEnumerable<Fact> OfKind(Item item) => item switch
    {
        TextItem => TextFacts.Of(item.Id),
        ShapeItem shape => ShapeFacts.Of(shape),
        _ => FieldFacts.Of(item),
    };

    private static IEnumerable<Fact> OfPlace(Item item)
    {
        var id = item.Id;
        Item I(Job j) => j.Item(id)!;
        yield return new($"item/{id}/panel", "Hangs on", j => I(j).Hold.Panel.Word(),
            (_, t) => new HoldItem(id,
                Panel: Parts.TryParse(t, out var p) ? p : throw Typed.No($"a cover has no `{LengthText.Clip(t)}`")))
        {
            Choices = j =>
            [("sheet", "whole sheet"),
                .. j.Sheets().Where(s => s.Wrap == j.WrapOf(id)).SelectMany(s => s.Sheet.Panels)
                    .Select(p => (p.Part.Word(), p.Part.Say()))]
        };
        yield return new($"item/{id}/box", "by its", j => Boxes.First(b => b.Item2 == I(j).Hold.Box).Item1,
            (_, t) => new HoldItem(id, Box: Typed.Choice(t, Boxes)))
        {
            Choices = j =>
            [.. Boxes.Where(b => b.Item2 != HoldBox.Room || I(j).Hold.Panel == Part.Back)
                .Select(b => (b.Item1, b.Item1))]
        };
        yield return new($"item/{id}/anchor", "at", j => Anchors.First(a => a.Item2 == I(j).Hold.Anchor).Item1,
            (_, t) => new HoldItem(id, Anchor: Typed.Choice(t, Anchors)))
        { Choices = Facts.Of([.. Anchors.Select(a => (a.Item1, a.Item1))]) };
        // Figures run inward from the side an item hangs by, as one would measure them with a rule.
        yield return new($"item/{id}/x",
            item.Hold.Across switch { 0 => "From left", 1 => "From right", _ => "Right of middle" },
            j => (I(j).Hold.Across == 1 ? -I(j).Hold.Dx : I(j).Hold.Dx).Show(j.Ticket.Unit),
            (j, t) => new HoldItem(id, Dx: I(j).Hold.Across == 1 ? -Facts.Length(j, t) : Facts.Length(j, t)));
        yield return new($"item/{id}/y",
            item.Hold.Down switch { 0 => "From head", 1 => "From foot", _ => "Below middle" },
            j => (I(j).Hold.Down == 1 ? -I(j).Hold.Dy : I(j).Hold.Dy).Show(j.Ticket.Unit),
            (j, t) => new HoldItem(id, Dy: I(j).Hold.Down == 1 ? -Facts.Length(j, t) : Facts.Length(j, t)));
        if (item.OwnSize is null)
        {
            yield return new($"item/{id}/width", item.Hold.Panel == Part.Spine ? "Along the spine" : "Wide",
                j => Show(I(j).Width, j.Ticket.Unit), (j, t) => new SizeItem(id, Width: ParseSpan(j, t)));
            if (item is not LineItem)
                yield return new($"item/{id}/height", item.Hold.Panel == Part.Spine ? "Across the spine" : "High",
                    j => Show(I(j).Height, j.Ticket.Unit), (j, t) => new SizeItem(id, Height: ParseSpan(j, t)));
        }
        yield return new($"item/{id}/turned", "Turned",
            j => I(j).Turned.ToString("0.##", CultureInfo.InvariantCulture) + "°",
            (_, t) => new TurnItem(id,
                LengthText.Number(t.TrimEnd(' ', '°')) is { } d and > -100_000 and < 100_000
                    ? d
                    : throw Typed.No($"`{LengthText.Clip(t)}` is no angle: try `90°`")));
        yield return new($"item/{id}/opacity", "Opacity",
            j => I(j).Opacity.ToString("0.##", CultureInfo.InvariantCulture) + " %",
            (_, t) => new FadeItem(id,
                LengthText.Number(t.TrimEnd(' ', '%'))
                    ?? throw Typed.No($"`{LengthText.Clip(t)}` is no opacity: try `80 %`")));
        yield return new($"item/{id}/blend", "Blend", j => Blends.First(b => b.Item2 == I(j).Blend).Item1,
            (_, t) => new BlendItem(id, Typed.Choice(t, Blends)))
        {
            Choices = Facts.Of(("normal", "normal"),
                ("multiply", "multiply"), ("screen", "screen"))
        };
        yield return new($"item/{id}/name", "Name", j => I(j).Name, (_, t) => new NameItem(id, t));
        yield return new($"item/{id}/whole", "Keep whole", j => I(j).Whole ? "yes" : "no",
            (_, t) => new KeepWhole(id, Typed.Choice(t, [("yes", true), ("no", false)])));
        yield return new($"item/{id}/hidden", "Hidden", j => I(j).Hidden ? "yes" : "no",
            (_, t) => new HideItem(id, Typed.Choice(t, [("yes", true), ("no", false)])));
        yield return new($"item/{id}/locked", "Locked", j => I(j).Locked ? "yes" : "no",
            (_, t) => new LockItem(id, Typed.Choice(t, [("yes", true), ("no", false)])));
    }

    private static string Show(Span span, Unit unit)
    {
        if (span.Share == 0) return span.Own.Show(unit);
        var share = (span.Share * 100).ToString("0.##", CultureInfo.InvariantCulture) + " %";
        return span.Own.IsZero
            ? share
            : $"{share} {(span.Own.Units < 0 ? "−" : "+")} {Length.Abs(span.Own).Show(unit)}";
    }

    /// <summary>“4.4 in”, “100 %” of the box it hangs in, or “100 % − 0.5 in”.</summary>
    private static Span ParseSpan(Job job, string text)
    {
        if (Share().Match(text.Trim()) is not { Success: true } m) return new(Facts.Length(job, text));
        var share = LengthText.Number(m.Groups["share"].Value) is { } n and >= 0 and <= 1000
            ? n / 100
            : throw Typed.No("a share runs from 0 to 1000 %");
        var own = m.Groups["own"].Success ? Facts.Length(job, m.Groups["own"].Value) : default;
        return new(m.Groups["sign"].Value is "-" or "−" ? -own : own, share);
    }
}
