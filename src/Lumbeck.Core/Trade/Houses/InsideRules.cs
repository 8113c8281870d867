namespace Lumbeck.Core.Trade.Houses;

/// <summary>On which sides the art of a page runs past its cut: none, all but the bound one, or all four.</summary>
public enum PageBleed { None, Three, Four }

/// <summary>A gutter that holds up to so many pages.</summary>
public sealed record GutterStep(int UpTo, Length Wide);

/// <summary>A gutter’s steps for one binding; for every other where it names none.</summary>
public sealed record GutterTable(ImmutableList<GutterStep> Steps, BindingKind? Binding = null);

/// <summary>What a house asks of pages that are made here (docs/inside.md, docs/house-file.md).</summary>
public sealed record InsideRules
{
    /// <summary>Where art that bleeds runs past the cut.</summary>
    public PageBleed Bleed { get; init; } = PageBleed.Three;
    public Length BleedWidth { get; init; } = Length.FromMillimetres(3);

    /// <summary>Least gutters by pages as printed, for each binding; they never fall as pages grow.</summary>
    public ImmutableList<GutterTable> Gutters { get; init; } =
    [
        new([new(150,
            Length.FromMillimetres(12)), new(300, Length.FromMillimetres(14)), new(500, Length.FromMillimetres(17)),
            new(5000, Length.FromMillimetres(20))]),
        new([new(5000, Length.FromMillimetres(10))], BindingKind.Booklet),
    ];

    /// <summary>Least margin at head, foot and fore-edge of a book that does not bleed, and of one that does.</summary>
    public Length Margin { get; init; } = Length.FromMillimetres(6.5m);
    public Length MarginWithBleed { get; init; } = Length.FromMillimetres(9.5m);
    public ImmutableList<PressKind> Kinds { get; init; } = [PressKind.X4, PressKind.Pdf];
    public string Condition { get; init; } = "FOGRA39";
    public string Profile { get; init; } = "coated-fogra39-300";
    public decimal InkLimit { get; init; } = 280;
    public Length RuleLeast { get; init; } = Length.FromPoints(0.35m);

    /// <summary>Least tint that holds, in percent; as far under solid it closes up.</summary>
    public decimal TintLeast { get; init; } = 5;

    /// <summary>Whether the last page stays blank, for the house’s own mark.</summary>
    public bool LastPageBlank { get; init; }
    public Marks Marks { get; init; }

    /// <summary>Without ink along the bound edge of the first and the last page, where the cover is glued on.</summary>
    public Length Glue { get; init; }
    public string FileName { get; init; } = "{title}_inside_{pages}p_{kind}.pdf";

    /// <summary>The steps that a binding goes by.</summary>
    public ImmutableList<GutterStep> GuttersOf(BindingKind binding) =>
        (Gutters.FirstOrDefault(g => g.Binding == binding) ?? Gutters.First(g => g.Binding is null)).Steps;

    /// <summary>
    /// The least gutter of a book of so many printed pages, and up to how many it holds; the last step holds beyond.
    /// </summary>
    public GutterStep GutterOf(BindingKind binding, int pages)
    {
        var steps = GuttersOf(binding);
        return steps.FirstOrDefault(s => pages <= s.UpTo) ?? steps[^1];
    }

    /// <summary>The least margin on every side but the bound one.</summary>
    public Length MarginOf(bool bleeds) => bleeds ? MarginWithBleed : Margin;
}
