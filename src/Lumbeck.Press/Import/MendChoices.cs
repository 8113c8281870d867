namespace Lumbeck.Press.Import;

/// <summary>How a finished page is laid: as proposed, in the middle, scaled, or split at its own folds.</summary>
public enum LayWay { Proposed, Middle, Scaled, Split }

/// <summary>What becomes of inks that were made for another printing condition, or of white that overprints.</summary>
public enum Wish { Open, Keep, Change }

/// <summary>What the maker decided where a finished file leaves a choice; the file's next version takes it over.</summary>
public sealed record MendChoices
{
    /// <summary>How it is laid on the sheet, or on each page.</summary>
    public LayWay Way { get; init; }

    /// <summary>A cover's further way to the right, from where it was laid.</summary>
    public Length Right { get; init; }

    /// <summary>A cover's further way down.</summary>
    public Length Down { get; init; }

    /// <summary>A cover’s size about the sheet’s middle, in percent of how it was laid.</summary>
    public decimal Percent { get; init; } = 100;

    /// <summary>
    /// An inside’s pages that end at the cut, and a cover’s art that ends further from the sheet’s edge than its bleed or
    /// turn-in, go on past it as their own mirror image.
    /// </summary>
    public bool Bleed { get; init; }

    /// <summary>How far an inside’s pages are shifted away from the spine.</summary>
    public Length Gutter { get; init; }

    /// <summary>Lines thinner than the house prints are raised to what it does.</summary>
    public bool Thicken { get; init; }

    /// <summary>Inks made for another condition: their numbers stay, or their colours do.</summary>
    public Wish Inks { get; init; }

    /// <summary>White that is set to overprint: it vanishes as it is set, or knocks out as it looks.</summary>
    public Wish White { get; init; }

    /// <summary>The maker says that a file which is closed against changes may be changed.</summary>
    public bool MayChange { get; init; }

    /// <exception cref="Refusal">A figure is none that makes sense; it is named.</exception>
    public MendChoices Sound()
    {
        if (Percent is < 10 or > 1000)
            throw new Refusal("percent", string.Create(CultureInfo.InvariantCulture,
                $"{Percent} %: a cover is scaled by 10 to 1000 %"));
        foreach (var (what, length) in new[] { ("right", Right), ("down", Down), ("gutter", Gutter) })
            if (Length.Abs(length) > Length.FromMillimetres(500))
                throw new Refusal(what, $"{length.Show(Unit.Millimetre)} is further than any sheet: up to 500 mm");
        return Enum.IsDefined(Way) && Enum.IsDefined(Inks) && Enum.IsDefined(White) ? this
            : throw new Refusal("choices", "no such choice");
    }
}
