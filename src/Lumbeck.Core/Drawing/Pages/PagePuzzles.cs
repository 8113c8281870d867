using System.Collections.Concurrent;

namespace Lumbeck.Core.Drawing.Pages;

/// <summary>The puzzles of an inside: which are made for which page, and which page solves them.</summary>
internal sealed class PagePuzzles
{
    private readonly InsidePlan _plan;
    private readonly IPuzzles? _puzzles;
    private readonly ConcurrentDictionary<(int Run, int Design), ImmutableArray<string>> _made = new();
    private readonly Lazy<ImmutableArray<(int Number, Slot Slot)>> _pages;
    private readonly Lazy<Dictionary<int, string>> _solvedOn;

    public PagePuzzles(InsidePlan plan, IPuzzles? puzzles)
    {
        (_plan, _puzzles) = (plan, puzzles);
        _pages = new(() => [.. plan.Counted.Pages.Index()
            .Where(p => p.Item.Kind == SlotKind.Page && Design(p.Item) is PuzzlePage)
            .Select(p => (p.Index + 1, p.Item))]);
        _solvedOn = new(SolvedOn);
    }

    private PageDesign Design(Slot slot) => _plan.Inside.Runs[slot.Run].Designs[slot.Design];

    /// <summary>What is to be made before all pages can be drawn.</summary>
    public IEnumerable<SudokuAsk> Asked => _plan.Inside.Runs.Index().SelectMany(r => r.Item.Designs)
        .OfType<PuzzlePage>().Distinct().SelectMany(d => AskOf(d) is { } ask ? [ask] : (SudokuAsk[])[]);

    private SudokuAsk? AskOf(PuzzlePage design)
    {
        // A design in two runs comes twice: each run has puzzles of its own, by its own seed.
        var times = _pages.Value.Where(p => Design(p.Slot).Equals(design)).Select(p => p.Slot.Time).DefaultIfEmpty(0).Max();
        return times == 0 ? null : design.Asks(times);
    }

    /// <summary>The puzzles of a page’s design; default while they are being made.</summary>
    /// <exception cref="Refusal">There are not so many of this size and grade.</exception>
    public ImmutableArray<string> Made(Slot slot)
    {
        if (Design(slot) is not PuzzlePage design || _puzzles is null) return default;
        if (_made.TryGetValue((slot.Run, slot.Design), out var known)) return known;
        if (AskOf(design) is not { } ask || _puzzles.Made(ask) is not { } made) return default;
        return _made[(slot.Run, slot.Design)] = made;
    }

    /// <summary>All puzzles in the order of the book.</summary>
    public ImmutableArray<ToSolve> ToSolve() =>
    [
        .. from page in _pages.Value
           let design = (PuzzlePage)Design(page.Slot)
           let many = design.OnPage.Across * design.OnPage.Down
           let planned = _plan.Bare(page.Number)
           let facts = planned.Facts with { Made = Made(page.Slot), Room = design.PlaceOn(planned.Surface) }
           from k in Enumerable.Range(0, many)
           let n = ((page.Slot.Time - 1) * many) + k
           select new ToSolve(design, n, facts, many == 1 && facts.Fill(design.Heading) is { Length: > 0 } heading ? heading
               : $"{char.ToUpperInvariant(design.Kind[0])}{design.Kind[1..]} {n + 1}"),
    ];

    /// <summary>How many there are.</summary>
    public int Count => _pages.Value.Sum(p => ((PuzzlePage)Design(p.Slot)).OnPage is var (across, down) ? across * down : 0);

    /// <summary>
    /// The folio of the page that solves a page’s puzzles, or of both where they part: “71–72”; null where the book solves
    /// none.
    /// </summary>
    public string? SolvedOn(int number) => _solvedOn.Value.GetValueOrDefault(number);

    private Dictionary<int, string> SolvedOn()
    {
        var solved = new Dictionary<int, string>();
        var places = new List<string>();
        foreach (var (index, slot) in _plan.Counted.Pages.Index())
            if (slot.Kind == SlotKind.Page && Design(slot) is SolutionsPage page)
                for (var n = 0; n < page.Across * page.Down; n++)
                {
                    var place = ((slot.Time - 1) * page.Across * page.Down) + n;
                    while (places.Count <= place) places.Add("");
                    if (places[place].Length == 0) places[place] = _plan.FolioOf(index + 1);
                }
        var at = 0;
        foreach (var (number, slot) in _pages.Value)
        {
            var (across, down) = ((PuzzlePage)Design(slot)).OnPage;
            string[] on = [.. places.Skip(at).Take(across * down).Where(p => p.Length > 0).Distinct()];
            if (on.Length > 0) solved[number] = on.Length == 1 ? on[0] : $"{on[0]}–{on[^1]}";
            at += across * down;
        }
        return solved;
    }
}
