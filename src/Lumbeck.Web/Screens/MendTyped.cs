using Lumbeck.Press.Import;

namespace Lumbeck.Web.Screens;

/// <summary>What is decided of a finished file, as it is typed and ticked.</summary>
public sealed record MendTyped
{
    /// <summary>What a browser offers to pick.</summary>
    public const string Takes = "application/pdf,image/jpeg,image/png,image/tiff,image/webp,image/svg+xml";

    public bool Inside { get; init; }
    public LayWay Way { get; init; }
    public string? Percent { get; init; }
    public string? Right { get; init; }
    public string? Down { get; init; }
    public string? Gutter { get; init; }
    public bool Bleed { get; init; }
    public bool Thicken { get; init; }
    public Wish Inks { get; init; }
    public Wish White { get; init; }
    public bool MayChange { get; init; }
    public string? Password { get; init; }

    /// <exception cref="Refusal">A figure is none; it is named.</exception>
    public MendChoices Choices(Unit unit)
    {
        Length length(string? typed, string what) => string.IsNullOrWhiteSpace(typed) ? default
            : LengthText.TryParse(typed.Trim().Replace('−', '-'), unit, out var l, out var why) ? l
                : throw new Refusal(what, $"{what}: {why}");
        return new MendChoices
        {
            Way = Way,
            Percent = string.IsNullOrWhiteSpace(Percent) ? 100 : LengthText.Number(Percent.Replace("%", "",
                StringComparison.Ordinal))
                ?? throw new Refusal("percent", $"`{LengthText.Clip(Percent)}` is no percentage"),
            Right = length(Right, "to the right"),
            Down = length(Down, "down"),
            Gutter = length(Gutter, "gutter"),
            Bleed = Bleed,
            Thicken = Thicken,
            Inks = Inks,
            White = White,
            MayChange = MayChange,
        }.Sound();
    }
}
