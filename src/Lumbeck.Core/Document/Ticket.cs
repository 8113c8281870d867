using System.Text.Json.Serialization;

namespace Lumbeck.Core.Document;

/// <summary>How the inside is printed.</summary>
public enum InsideColour { Black, Colour }

/// <summary>
/// The facts of a book. The house's rules are kept as they were when the house was chosen, so that a job prints
/// tomorrow as it was laid out today.
/// </summary>
public sealed record Ticket
{
    /// <summary>Most letters of a blurb, and of the words on an author.</summary>
    public const int LongestBlurb = 4000, LongestNote = 1200;

    public string Title { get; init; } = "";
    public string Subtitle { get; init; } = "";
    public string Series { get; init; } = "";
    public string SeriesNumber { get; init; } = "";
    /// <summary>As the cover names who wrote it.</summary>
    public string Author { get; init; } = "";
    /// <summary>Those who made it besides the author.</summary>
    [JsonPropertyName("people")]
    public ImmutableList<Person> Contributors { get; init; } = [];
    public string Imprint { get; init; } = "";
    public string Edition { get; init; } = "";
    public Isbn? Isbn { get; init; }
    public Price? Price { get; init; }
    /// <summary>In another currency, printed beside the first.</summary>
    public Price? SecondPrice { get; init; }
    /// <summary>The title as a narrow spine has it; empty for the whole one.</summary>
    public string SpineTitle { get; init; } = "";
    /// <summary>Where a shop puts it, such as “Fiction / Sea stories”.</summary>
    public string Category { get; init; } = "";
    /// <summary>What the back says of it, in paragraphs.</summary>
    public string Blurb { get; init; } = "";
    /// <summary>A few words on the author.</summary>
    public string Note { get; init; } = "";
    /// <summary>The author, as a picture; null where there is none.</summary>
    public Picture? Portrait { get; init; }
    /// <summary>The imprint's mark, as its spines bear it; null where there is none.</summary>
    public Picture? Mark { get; init; }
    /// <summary>What others said of it.</summary>
    [JsonPropertyName("quotations")]
    public ImmutableList<ReviewQuote> ReviewQuotes { get; init; } = [];
    /// <summary>A code of <see cref="Language.All"/>.</summary>
    public string Language { get; init; } = "en";
    public InsideColour InsideColour { get; init; }
    public BindingKind Binding { get; init; } = BindingKind.Paperback;
    public Reading Reading { get; init; }
    public Size Trim { get; init; } = Size.FromInches(5.25m, 8);
    public int Pages { get; init; } = 200;
    public Paper Paper { get; init; } = new("", Caliper.FromMillimetres(0.1m));
    /// <summary>A section on another paper.</summary>
    public Plates? Plates { get; init; }
    /// <summary>The block as measured on a dummy.</summary>
    public Length? Dummy { get; init; }
    /// <summary>What endpapers add; the house's figure where null.</summary>
    public Length? Endpapers { get; init; }
    public bool RoundBack { get; init; }
    public bool Flaps { get; init; }
    public Length? FlapWidth { get; init; }
    public string Finish { get; init; } = "";
    public Unit Unit { get; init; }
    public Length? PinnedSpine { get; init; }
    /// <summary>The printer's own figures as typed: a full size, or a spine.</summary>
    public string PrinterSays { get; init; } = "";
    /// <summary>What the inside PDF said of itself when it was laid on the ticket.</summary>
    public InsideFile? Inside { get; init; }
    public House House { get; init; } = new();

    /// <summary>What waits for a printer that has it; null for nothing.</summary>
    public EarlierChoices? Earlier { get; init; }

    /// <summary>The title as its spine says it.</summary>
    public string TitleOnSpine => SpineTitle.Length > 0 ? SpineTitle : Title;

    /// <summary>The author's last name, where a spine has room for no more.</summary>
    public string Surname => Author.Split(' ')[^1];

    /// <summary>The series with the volume's number; empty for a book by itself.</summary>
    public string Volume => Series.Length > 0 && SeriesNumber.Length > 0 ? $"{Series} {SeriesNumber}" : Series;

    /// <summary>Its pictures.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public IEnumerable<Picture> Pictures => new[] { Mark, Portrait }.OfType<Picture>();

    /// <summary>What its pages are raised to a multiple of.</summary>
    public int PageMultiple => Binding == BindingKind.Booklet ? 4 : House.PageMultiple;

    /// <summary>What moves the sheet.</summary>
    public BookFacts Facts =>
        new(Binding, Reading, Trim, Pages, Paper, Flaps, FlapWidth, PinnedSpine, RoundBack)
        {
            Plates = Plates,
            Dummy = Dummy,
            Endpapers = Endpapers,
            SpineUp = Document.Language.Of(Language).SpineUp
        };
}
