using System.Text.Json.Serialization;

namespace Lumbeck.Core.Type;

/// <summary>
/// Which side lines are flush with: left and right are those of text that runs from left to right, and change places in
/// text that runs the other way.
/// </summary>
public enum Align { Left, Centre, Right, Justified }

/// <summary>Where lines stand in a box that is taller than they are.</summary>
public enum Stand { Head, Middle, Foot }

/// <summary>How letters are shown, whatever was typed.</summary>
public enum LetterCase { AsTyped, Upper, Lower, SmallCaps }

/// <summary>
/// What gives where words and their box do not fit each other: nothing, the words' size where they are too many, their
/// size until the longest line is as wide as the box, or the box's height.
/// </summary>
public enum Fitting { AsSet, Shrink, FillWidth, Grow }

/// <summary>How a text is set.</summary>
public sealed record TextStyle
{
    public FaceId Face { get; init; } = new("eb-garamond", 400, false);
    public Length Size { get; init; } = Length.FromPoints(12);
    public Paint Paint { get; init; } = new InkPaint(Ink.Black);
    /// <summary>Added after every letter, in thousandths of the size.</summary>
    public decimal Tracking { get; init; }
    /// <summary>From baseline to baseline, as a multiple of the size.</summary>
    public decimal Leading { get; init; } = 1.2m;
    public Align Align { get; init; }
    public Stand Stand { get; init; }
    public LetterCase Case { get; init; }
    /// <summary>How far the baseline is raised; below zero it is lowered.</summary>
    public Length Raise { get; init; }
    /// <summary>
    /// OpenType features in order of their tags, parted by spaces; with a minus those that are turned off: <c>-liga
    /// onum</c>.
    /// </summary>
    public string Features { get; init; } = "";
    /// <summary>Before each paragraph but the first.</summary>
    public Length Space { get; init; }
    /// <summary>Of each paragraph's first line; below zero it hangs out, and the others are drawn in.</summary>
    public Length Indent { get; init; }
    public bool Hyphenate { get; init; }

    /// <summary>Least and greatest size of type.</summary>
    public static readonly Length SizeLeast = Length.FromPoints(1), SizeMost = Length.FromPoints(1000);

    /// <summary>No length of a text's setting is longer.</summary>
    internal static readonly Length Far = Length.FromMillimetres(5000);

    /// <summary>Whether every figure is within its range.</summary>
    [JsonIgnore]
    public bool IsSound =>
        Size >= SizeLeast && Size <= SizeMost && Leading is >= 0.5m and <= 5 && Tracking is >= -300 and <= 2000
        && Enum.IsDefined(Align) && Enum.IsDefined(Stand) && Enum.IsDefined(Case)
        && Length.Abs(Raise) <= Far && Length.Abs(Indent) <= Far && Length.Abs(Space) <= Far
        && Features is not null && FeatureText.IsSound(Features);

    /// <summary>The same with what a run has of its own.</summary>
    public TextStyle With(RunStyle run) => this with
    {
        Face = run.Face ?? Face,
        Size = run.Size ?? Size,
        Paint = run.Paint ?? Paint,
        Tracking = run.Tracking ?? Tracking,
        Case = run.Case ?? Case,
        Raise = run.Raise ?? Raise,
        Features = run.Features ?? Features,
        Leading = run.Leading ?? Leading,
        Align = run.Align ?? Align,
        Space = run.Space ?? Space,
        Indent = run.Indent ?? Indent,
        Hyphenate = run.Hyphenate ?? Hyphenate,
    };
}

/// <summary>
/// What a run of letters has of its own; what is null it has from its text. The last five are a paragraph's, which
/// takes them from its first letter.
/// </summary>
public sealed record RunStyle
{
    public FaceId? Face { get; init; }
    public Length? Size { get; init; }
    public Paint? Paint { get; init; }
    public decimal? Tracking { get; init; }
    public LetterCase? Case { get; init; }
    public Length? Raise { get; init; }
    public string? Features { get; init; }
    public decimal? Leading { get; init; }
    public Align? Align { get; init; }
    public Length? Space { get; init; }
    public Length? Indent { get; init; }
    public bool? Hyphenate { get; init; }

    public static RunStyle None { get; } = new();

    /// <summary>Whether every figure that is given is within its range.</summary>
    [JsonIgnore]
    public bool IsSound =>
        (Size is not { } size || (size >= TextStyle.SizeLeast && size <= TextStyle.SizeMost))
        && (Leading is null or (>= 0.5m and <= 5)) && (Tracking is null or (>= -300 and <= 2000))
        && (Features is null || FeatureText.IsSound(Features))
        && (Align is not { } align || Enum.IsDefined(align)) && (Case is not { } letters || Enum.IsDefined(letters))
        && ((Length?[])[Raise, Indent, Space]).All(l => l is not { } length || Length.Abs(length) <= TextStyle.Far);

    /// <summary>This, with what another has.</summary>
    public RunStyle With(RunStyle over) => new()
    {
        Face = over.Face ?? Face,
        Size = over.Size ?? Size,
        Paint = over.Paint ?? Paint,
        Tracking = over.Tracking ?? Tracking,
        Case = over.Case ?? Case,
        Raise = over.Raise ?? Raise,
        Features = over.Features ?? Features,
        Leading = over.Leading ?? Leading,
        Align = over.Align ?? Align,
        Space = over.Space ?? Space,
        Indent = over.Indent ?? Indent,
        Hyphenate = over.Hyphenate ?? Hyphenate,
    };

    /// <summary>What this says otherwise than a style; saying the same is saying nothing.</summary>
    public RunStyle Beside(TextStyle style) => new()
    {
        Face = Face == style.Face ? null : Face,
        Size = Size == style.Size ? null : Size,
        Paint = Equals(Paint, style.Paint) ? null : Paint,
        Tracking = Tracking == style.Tracking ? null : Tracking,
        Case = Case == style.Case ? null : Case,
        Raise = Raise == style.Raise ? null : Raise,
        Features = Features == style.Features ? null : Features,
        Leading = Leading == style.Leading ? null : Leading,
        Align = Align == style.Align ? null : Align,
        Space = Space == style.Space ? null : Space,
        Indent = Indent == style.Indent ? null : Indent,
        Hyphenate = Hyphenate == style.Hyphenate ? null : Hyphenate,
    };
}
