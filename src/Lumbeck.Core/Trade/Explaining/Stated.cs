namespace Lumbeck.Core.Trade.Explaining;

/// <summary>
/// What a printer's calculator or template states, as typed: a full width and height, or a spine alone.
/// <paramref name="Slack"/> is half the last typed digit of each.
/// </summary>
public sealed record Stated(Size? Full, Length? Spine, Size Slack)
{
    /// <summary>What people write before or after a spine's figure.</summary>
    private static readonly string[] Said = ["spine", "the spine is", "a spine of"];

    /// <summary>Leaves, where the printer counts those instead: “50 leaves”.</summary>
    public int? Leaves { get; init; }

    /// <exception cref="Refusal">It is neither a size nor a length, and no count of leaves.</exception>
    public static Stated Read(string text, Unit unit)
    {
        text = text.Trim();
        foreach (var said in Said.OrderByDescending(s => s.Length))
        {
            if (text.StartsWith(said, StringComparison.OrdinalIgnoreCase)) text = text[said.Length..].TrimStart(':', '=', ' ');
            if (text.EndsWith(" " + said, StringComparison.OrdinalIgnoreCase)) text = text[..^said.Length].TrimEnd();
        }
        if (text.Split(' ') is [var count, "leaves" or "leaf"]
            && int.TryParse(count, NumberStyles.None, CultureInfo.InvariantCulture, out var leaves) && leaves is > 0 and <= 5000)
            return new(null, null, default) { Leaves = leaves };
        if (LengthText.TryParseSize(text, unit, out var full, out var why))
            return new(full, null, LengthText.Slack(text, unit));
        if (LengthText.TryParse(text, unit, out var spine, out _))
        {
            // “2 in” is not meant to half an inch: a spine is no coarser figure than half a millimetre.
            var slack = LengthText.Slack($"{text} × {text}", unit);
            return new(null, spine, new(Length.Min(slack.Width, Coarsest), Length.Min(slack.Height, Coarsest)));
        }
        throw new Refusal("ticket/printer-says",
            text.Any(c => c is 'x' or '×' or 'X')
                ? why
                : $"`{LengthText.Clip(text)}` is neither a full size nor a spine: try " +
                    $"`{(unit == Unit.Inch ? "11.58 × 8.25 in" : "294 × 209.5 mm")}`, or " +
                    $"`{(unit == Unit.Inch ? "0.83 in" : "21.1 mm")}`");
    }

    private static readonly Length Coarsest = Length.FromMillimetres(0.5m);

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
        if (Leaves is { } leaves)
        {
            var counted = WrapGeometry.Of(book with { PinnedSpine = null, Pages = 2 * leaves }, house).Sheet.Size;
            return Explanation.Of(book, house, counted, new(Length.FromMillimetres(0.01m), Length.FromMillimetres(0.01m)));
        }
        var wrap = WrapGeometry.Of(book with { PinnedSpine = null }, house);
        if (wrap.Sheet.Panel(Part.Spine) is not { Face.Width: var computed })
            throw new Refusal("ticket/printer-says",
                $"{book.Binding.OfOne()} has no spine: type the full size, width × height");
        return Explanation.Of(book, house, new(wrap.Sheet.Size.Width - computed + Spine!.Value, wrap.Sheet.Size.Height),
            new(Slack.Width, Length.Zero));
    }
}
