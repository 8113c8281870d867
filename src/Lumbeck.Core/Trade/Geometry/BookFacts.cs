namespace Lumbeck.Core.Trade.Geometry;

/// <summary>What geometry reads of a book: everything that moves the sheet, nothing else.</summary>
public sealed record BookFacts(BindingKind Binding, Reading Reading, Size Trim, int Pages, Paper Paper,
    bool Flaps = false, Length? FlapWidth = null, Length? PinnedSpine = null, bool RoundBack = false)
{
    /// <summary>A section on another paper, if any.</summary>
    public Plates? Plates { get; init; }

    /// <summary>The block as measured on a dummy, endpapers included; takes the place of the computed one.</summary>
    public Length? Dummy { get; init; }

    /// <summary>What endpapers add to a case's block; the house's figure where null.</summary>
    public Length? Endpapers { get; init; }

    /// <summary>Whether spines of books in its language run up, from foot to head.</summary>
    public bool SpineUp { get; init; }

    /// <summary>Whether words on its spine run up: as the house prints them, or as its language has it.</summary>
    public bool ReadsUp(House house) =>
        house.SpineReading == SpineReading.Up || (house.SpineReading == SpineReading.ByLanguage && SpineUp);

    /// <summary>The same book, unpinned and on paper so many times as thick.</summary>
    public BookFacts WithBulk(decimal factor)
    {
        Paper thick(Paper p) => p with { Leaf = Caliper.FromMicrometres(Math.Round(p.Leaf.Micrometres * factor, 6)) };
        return this with
        {
            Paper = thick(Paper),
            Plates = Plates is { } p ? p with { Paper = thick(p.Paper) } : null,
            Dummy = Dummy is { } d ? factor * d : null,
            PinnedSpine = null,
        };
    }
}

/// <summary>A plate section: so many of the book's pages (counted within them) on a paper of their own.</summary>
public sealed record Plates(int Pages, Paper Paper);

/// <summary>
/// A figure that people see, with its working, made where it is computed. <paramref name="Figure"/> is the figure with
/// its unit;
/// <paramref name="Text"/> says in words and numbers how it came about, and ends in the figure itself.
/// </summary>
public sealed record Sum(string Name, string Label, string Figure, string Text);
