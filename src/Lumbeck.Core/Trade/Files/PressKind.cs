namespace Lumbeck.Core.Trade.Files;

/// <summary>
/// A kind of file that leaves: its word, what it is for, and the few rules by which it is written
/// (docs/press-files.md).
/// Adding one is a file here and its line in <see cref="All"/>.
/// </summary>
public abstract record PressKind
{
    public static readonly PressKind X4 = new X4(), X1a = new X1a(), Pdf = new PlainPdf(), Proof = new ScreenProof(),
        Screen = new FrontForScreens(), Mockup = new PaperMockup(), Spreads = new Spreads(),
            Booklet = new HomeBooklet(),
        Pages = new PagePictures();

    public static IReadOnlyList<PressKind> All { get; } = [X4, X1a, Pdf, Proof, Screen, Mockup, Spreads, Booklet,
        Pages];

    /// <summary>Those a printer takes: the words of a house file.</summary>
    public static IReadOnlyList<PressKind> ForPrinters { get; } = [.. All.Where(k => k.IsForPrinter)];

    /// <summary>The kind of this word.</summary>
    /// <exception cref="Refusal">There is none.</exception>
    public static PressKind Of(string word) =>
        All.FirstOrDefault(k => k.Word == word)
            ?? throw new Refusal("kind",
                $"`{LengthText.Clip(word)}` can’t be made: take {string.Join(", ", All.Select(k => k.Word))}");

    /// <summary>The word of the command line, of house files and of the register.</summary>
    public abstract string Word { get; }

    /// <summary>The standard's own name, or what it is for.</summary>
    public abstract string Title { get; }

    /// <summary>Whether it goes to a printer; the others are for eyes and scissors.</summary>
    public virtual bool IsForPrinter => false;

    /// <summary>
    /// Whether it is made of an inside's pages alone; those for printers are made of covers and of pages.
    /// </summary>
    public virtual bool OfInside => false;

    /// <summary>What it is made of.</summary>
    public virtual MadeOf MadeOf => MadeOf.Sheets;

    /// <summary>What may be wished of it besides.</summary>
    public abstract Wishes Wishes { get; }

    /// <summary>The version of PDF it is written in (ISO 32000-1, 7.5.2).</summary>
    public virtual string Version => "1.6";

    /// <summary>How it says which standard it keeps.</summary>
    public virtual Naming Naming => Naming.None;

    /// <summary>
    /// Whether what one sees through is left to the printer's own machine; else it is mixed beforehand.
    /// </summary>
    public virtual bool KeepsTransparency => true;

    /// <summary>Whether a printing condition that is registered may be named alone, without its profile.</summary>
    public virtual bool NamesCondition => false;

    /// <summary>Whether its colours are a screen's.</summary>
    public virtual bool InRgb => false;

    /// <summary>Pixels an inch of parts that are mixed beforehand.</summary>
    public virtual int FlatPerInch => 400;

    /// <summary>The most pixels an inch of its pictures; null as the house has it.</summary>
    public virtual int? PicturesPerInch => null;

    /// <summary>Room all round, in points, for a line that says what it is; 0 where there is none.</summary>
    public virtual double Beside => 0;

    public sealed override string ToString() => Word;
}

/// <summary>
/// What the pages of a file are: whole sheets, tiles of them for a home printer, or one picture; of an inside,
/// openings,
/// sheets of a booklet, or pictures.
/// </summary>
public enum MadeOf { Sheets, Tiles, Picture, Openings, Imposed, PagePictures }

/// <summary>
/// Where a file names its standard: in its Info dictionary (ISO 15930-4, 6.13), in XMP (ISO 15930-7, 6.17), nowhere.
/// </summary>
public enum Naming { None, Info, Xmp }

/// <summary>What may be wished of a file besides its kind.</summary>
[Flags]
public enum Wishes
{
    None = 0, Outlines = 1, Marks = 2, Rgb = 4, Panel = 8, Zones = 16, Letter = 32, Pixels = 64,
    Png = 128
}
