using System.Text.Json;

namespace Lumbeck.Core.Trade.Explaining;

/// <summary>
/// What one figure of a house moves on a sheet: a book as the house has it, and the same with the figure changed.
/// </summary>
public sealed record KeyMove(WrapGeometry Was, WrapGeometry Is, string From, string To);

/// <summary>
/// Finds out what a figure moves by changing it and computing the sheet anew: what differs is what it moves.
/// </summary>
public static class KeyMoves
{
    /// <summary>
    /// The move, on the first binding (the house's own first) that shows any; null where a figure moves nothing on a
    /// sheet.
    /// </summary>
    public static KeyMove? Of(House house, HouseKey key)
    {
        // What the press takes limits a real job, not this drawing.
        var free = house with { SheetMost = Size.FromMillimetres(3000, 3000) };
        var changed = Tries(JsonSerializer.SerializeToElement(key.Write(free)), key).Select(v => Read(free, key, v))
            .OfType<House>().ToList();
        foreach (var book in Books(free))
        {
            if (Make(book, free) is not { } was) continue;
            foreach (var other in changed)
                if (Make(book, other) is { } now
                    && was.Sheets.Zip(now.Sheets).Any(p => Changes.Moves(p.First, p.Second)))
                    return new(was, now, HouseText.Show(key, house), HouseText.Show(key, other));
        }
        return null;
    }

    private static IEnumerable<BookFacts> Books(House house)
    {
        var trim = house.Trims.FirstOrDefault(t => house.Cuts(t.Size))?.Size ?? Size.FromMillimetres(140, 210);
        var paper = house.Papers.FirstOrDefault() ?? new Paper("", Caliper.FromMillimetres(0.13m));
        // 118 pages are a multiple of 2 and of nothing larger, so that every multiple shows.
        foreach (var kind in BindingKinds.Words.Select(w => w.Value).Where(k => k != BindingKind.Front)
            .OrderBy(k => house.Bindings.Contains(k) ? 0 : 1))
            foreach (var (flaps, round) in ((bool, bool)[])[(false, false), (true, true)])
                yield return new BookFacts(kind, Reading.LeftToRight, trim, 118, paper, flaps, RoundBack: round);
    }

    /// <summary>Other values of the same kind, the plainest change first.</summary>
    private static IEnumerable<object?> Tries(JsonElement now, HouseKey key)
    {
        switch (now.ValueKind)
        {
            case JsonValueKind.Number:
                var n = now.GetDecimal();
                foreach (var v in (decimal[])[n * 1.6m, n + 4, n * 2, n + 1, n + 0.1m, n * 4, n * 8, n / 2])
                    yield return key.Kind == KeyKind.Figure && decimal.IsInteger(n) && v > 2 ? Math.Round(v) : v;
                break;
            case JsonValueKind.Null:
                yield return 8;
                break;
            case JsonValueKind.True or JsonValueKind.False:
                yield return now.ValueKind == JsonValueKind.False;
                break;
            case JsonValueKind.String:
                foreach (var word in key.Choices.Where(c => c != now.GetString())) yield return word;
                break;
            case JsonValueKind.Array when key.Kind == KeyKind.Size:
                yield return now.EnumerateArray().Select(x => x.GetDecimal() * 1.25m).ToArray();
                break;
        }
    }

    private static House? Read(House house, HouseKey key, object? value) =>
        Attempt.OrNull(() => HouseFile.Checked(key.Read(house, JsonSerializer.SerializeToElement(value))));

    private static WrapGeometry? Make(BookFacts book, House house) => Attempt.OrNull(() => WrapGeometry.Of(book, house));
}
