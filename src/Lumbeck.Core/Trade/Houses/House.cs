namespace Lumbeck.Core.Trade.Houses;

public enum SpineReading { Down, Up, ByLanguage }
public enum BarcodeCorner { SpineFoot, ForeEdgeFoot, FootMiddle }
/// <summary>
/// Who puts the barcode on: the house adds its own where there is none, the maker must, or either may.
/// </summary>
public enum BarcodeBy { House, Maker, Either }
public enum PriceAddOn { None, Allowed, Required }
/// <summary>Marks outside the bleed that a printer wants; on wish it takes a file with them as well as one without.</summary>
public enum Marks { None, Crop, CropAndBleed, OnWish }

public enum ColourWanted { Cmyk, Any, Rgb }
public enum Intent { Relative, Perceptual, Absolute }

/// <summary>A trim size the house lists, with its trade name where it has one.</summary>
public sealed record NamedTrim(Size Size, string Name);

/// <summary>
/// A printer's rules, complete: what Ticket, Check and Press read. Each member's meaning, default and range
/// stands beside its key in <see cref="HouseKeys"/>; a key left out takes the trade's default given here.
/// </summary>
public sealed record House
{
    // Who
    public string Id { get; init; } = "";
    public string Name { get; init; } = "";
    public string About { get; init; } = "";
    public Unit Unit { get; init; } = Unit.Millimetre;
    // What is bound
    public ImmutableList<BindingKind> Bindings { get; init; } = [BindingKind.Paperback];
    public ImmutableList<Paper> Papers { get; init; } = [];
    public ImmutableList<NamedTrim> Trims { get; init; } = [];
    public Size TrimLeast { get; init; } = Size.FromMillimetres(80, 100);
    public Size TrimMost { get; init; } = Size.FromMillimetres(320, 450);
    public Size SheetMost { get; init; } = Size.FromMillimetres(1020, 720);
    public bool Flaps { get; init; }
    public ImmutableList<string> Finishes { get; init; } = ["matt", "gloss"];
    // Pages and spine
    public int PageMultiple { get; init; } = 2;
    public int PagesLeast { get; init; } = 24;
    public int PagesMost { get; init; } = 900;
    public int BookletPagesLeast { get; init; } = 8;
    public int BookletPagesMost { get; init; } = 96;
    public Length CoverAllowance { get; init; }
    public decimal? CoverGrammage { get; init; }
    public decimal? BoardGrammage { get; init; }
    public Length? SpineStep { get; init; }
    public Rounding SpineRounding { get; init; }
    public int SpineTextPages { get; init; } = 80;
    public Length SpineTextWidth { get; init; } = Length.FromMillimetres(5);
    public SpineReading SpineReading { get; init; }
    public decimal RoundBackFactor { get; init; } = 1;
    // Edges
    public Length Bleed { get; init; } = Length.FromMillimetres(3);
    public Length TrimSafe { get; init; } = Length.FromMillimetres(5);
    public Length FoldSafe { get; init; } = Length.FromMillimetres(3);
    public Length SpineSafe { get; init; } = Length.FromMillimetres(1.5m);
    public Length? HingeScore { get; init; }
    public Length Flap { get; init; } = Length.FromMillimetres(90);
    public Length PaperbackFlapEase { get; init; }
    public Length PunchBand { get; init; } = Length.FromMillimetres(12);
    // Case and jacket
    public Length CaseBleed { get; init; }
    public Length TurnIn { get; init; } = Length.FromMillimetres(17);
    public Length Board { get; init; } = Length.FromMillimetres(2.5m);
    public Length Square { get; init; } = Length.FromMillimetres(3);
    public Length Joint { get; init; } = Length.FromMillimetres(8);
    public Length? PanelAllowance { get; init; }
    public Length Endpapers { get; init; }
    public Length SpineEase { get; init; } = Length.FromMillimetres(1);
    public Length? ForeEdgeAllowance { get; init; }
    // Drift
    public Length TrimDrift { get; init; } = Length.FromMillimetres(1.6m);
    public Length FoldDrift { get; init; } = Length.FromMillimetres(1.6m);
    // Barcode
    public Size BarcodeRoom { get; init; } = Size.FromMillimetres(45, 30);
    public BarcodeCorner BarcodeCorner { get; init; }
    public Length? BarcodeFromSide { get; init; }
    public Length? BarcodeFromFoot { get; init; }
    public BarcodeBy BarcodeBy { get; init; } = BarcodeBy.Either;
    public decimal BarcodeLeast { get; init; } = 80;
    public decimal BarcodeMost { get; init; } = 200;
    public Length BarcodeBarReduction { get; init; }
    public PriceAddOn BarcodePrice { get; init; } = PriceAddOn.Allowed;
    // Ink
    public string OutputCondition { get; init; } = "FOGRA39";
    public string Profile { get; init; } = "coated-fogra39-300";
    public bool ProfileEmbedded { get; init; } = true;
    public Intent Intent { get; init; }
    public ColourWanted Colour { get; init; }
    public decimal InkLimit { get; init; } = 300;
    public Length BlackOverprintUpTo { get; init; } = Length.FromPoints(24);
    public Ink RichBlack { get; init; } = Ink.Percent(60, 40, 40, 100);
    public ImmutableList<string> FinishingInks { get; init; } = [];
    // Type, rules and pictures
    public Length TextLeast { get; init; } = Length.FromPoints(6);
    public Length TextStop { get; init; } = Length.FromPoints(4);
    public Length TextReversedLeast { get; init; } = Length.FromPoints(8);
    public Length RuleLeast { get; init; } = Length.FromPoints(0.25m);
    public Length RuleReversedLeast { get; init; } = Length.FromPoints(0.5m);
    public Length EdgeRule { get; init; } = Length.FromMillimetres(3);
    public int PictureCaution { get; init; } = 300;
    public int PictureStop { get; init; } = 200;
    public int PictureNote { get; init; } = 600;
    public int PictureMost { get; init; } = 450;
    public int LineArt { get; init; } = 600;
    public int LineArtMost { get; init; } = 1200;
    // The file
    public ImmutableList<PressKind> Kinds { get; init; } = [PressKind.X4];
    public Marks Marks { get; init; }
    public bool FoldMarks { get; init; }
    public bool InkBar { get; init; }
    public bool Slug { get; init; }
    public bool OutlinesOnly { get; init; }
    public string FileName { get; init; } = "{title}_cover_{pages}p_{kind}.pdf";
    public int FileLimit { get; init; } = 400;
    // Pages that are made here
    public InsideRules Inside { get; init; } = new();
    public ImmutableDictionary<string, Severity> Severities { get; init; } =
        ImmutableDictionary<string, Severity>.Empty;

    /// <summary>
    /// The same house as it takes pages instead of covers: its condition, kinds, marks and limits for them.
    /// </summary>
    public House ForPages() => this with
    {
        Kinds = Inside.Kinds,
        OutputCondition = Inside.Condition,
        Profile = Inside.Profile,
        InkLimit = Inside.InkLimit,
        RuleLeast = Inside.RuleLeast,
        Marks = Inside.Marks,
        FoldMarks = false,
        InkBar = false,
        Slug = false,
        Bleed = Inside.BleedWidth,
        FileName = Inside.FileName,
    };

    /// <summary>
    /// Whether the house binds so. A front alone is for screens: every house leaves that to the maker.
    /// </summary>
    public bool Binds(BindingKind kind) => kind == BindingKind.Front || Bindings.Contains(kind);

    /// <summary>
    /// A size that is given in inches to two places is as near to the one meant: so near to a limit it is at it.
    /// </summary>
    public static readonly Length AtLimit = Length.FromMillimetres(0.08m);

    /// <summary>Whether the house cuts a trim of this size.</summary>
    public bool Cuts(Size trim) =>
        trim.Width >= TrimLeast.Width - AtLimit && trim.Height >= TrimLeast.Height - AtLimit
        && trim.Width <= TrimMost.Width + AtLimit && trim.Height <= TrimMost.Height + AtLimit;

    /// <summary>How wide a panel stands beyond the block's width; the square unless the house says otherwise.</summary>
    public Length PanelBeyond => PanelAllowance ?? Square;

    /// <summary>
    /// Of a jacket, the way round the board's edge; the board plus 1 mm unless the house says otherwise.
    /// </summary>
    public Length ForeEdge => ForeEdgeAllowance ?? Board + Length.FromMillimetres(1);
}
