using Lumbeck.Core.Barcodes;

namespace Lumbeck.Core.Jobs;

/// <summary>
/// The facts of a book. The house's rules are kept as they were when the house was chosen, so that a job prints tomorrow as it was laid out today.
/// </summary>
public sealed record Ticket
{
    public string Title { get; init; } = "";
    public string Subtitle { get; init; } = "";
    public string Author { get; init; } = "";
    public string Imprint { get; init; } = "";
    public Isbn? Isbn { get; init; }
    public BindingKind Binding { get; init; } = BindingKind.Paperback;
    public Reading Reading { get; init; }
    public Size Trim { get; init; } = Size.FromInches(5.25m, 8);
    public int Pages { get; init; } = 200;
    public Paper Paper { get; init; } = new("", Caliper.FromMillimetres(0.1m));
    public bool Flaps { get; init; }
    public Length? FlapWidth { get; init; }
    public string Finish { get; init; } = "";
    public Unit Unit { get; init; }
    public Length? PinnedSpine { get; init; }
    public House House { get; init; } = new();

    /// <summary>What moves the sheet.</summary>
    public BookFacts Facts => new(Binding, Reading, Trim, Pages, Paper, Flaps, FlapWidth, PinnedSpine);
}
