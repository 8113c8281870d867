namespace Lumbeck.Core.Trade.Explaining;

/// <summary>
/// What a printer's calculator or template states, as typed: a full width and height, or a spine alone.
/// <paramref name="Slack"/> is half the last typed digit of each.
/// </summary>
public sealed record Stated(Size? Full, Length? Spine, Size Slack)
{
    /// <exception cref="Refusal">It is neither a size nor a length.</exception>
    public static Stated Read(string text, Unit unit)
    {
        if (LengthText.TryParseSize(text, unit, out var full, out var why))
            return new(full, null, LengthText.Slack(text, unit));
        if (LengthText.TryParse(text, unit, out var spine, out _))
            return new(null, spine, LengthText.Slack($"{text} × {text}", unit));
        throw new Refusal("ticket/printer-says",
            text.Any(c => c is 'x' or '×' or 'X')
                ? why
                : $"`{LengthText.Clip(text)}` is neither a full size nor a spine: try " +
                    $"`{(unit == Unit.Inch ? "11.58 × 8.25 in" : "294 × 209.5 mm")}`, or " +
                    $"`{(unit == Unit.Inch ? "0.83 in" : "21.1 mm")}`");
    }

    /// <summary>
    /// The text with the unit it was typed in: a bare figure stays what it was when the job's unit is switched.
    /// </summary>
    /// <exception cref="Refusal">It is neither a size nor a length.</exception>
    public static string WithUnit(string text, Unit unit) =>
        Read(text, unit) == Read(text, unit == Unit.Inch ? Unit.Millimetre : Unit.Inch)
            ? text
            : $"{text} {LengthText.Name(unit)}";

    /// <summary>
    /// Read back against a book's computed sheet; a spine alone is taken as a sheet that is otherwise as computed.
    /// </summary>
    /// <exception cref="Refusal">A spine is stated for a binding that has none.</exception>
    public Explanation Explain(BookFacts book, House house)
    {
        if (Full is { } full) return Explanation.Of(book, house, full, Slack);
        var wrap = WrapGeometry.Of(book with { PinnedSpine = null }, house);
        if (wrap.Sheet.Panel(Part.Spine) is not { Face.Width: var computed })
            throw new Refusal("ticket/printer-says",
                $"{book.Binding.OfOne()} has no spine: type the full size, width × height");
        return Explanation.Of(book, house, new(wrap.Sheet.Size.Width - computed + Spine!.Value, wrap.Sheet.Size.Height),
            new(Slack.Width, Length.Zero));
    }
}
