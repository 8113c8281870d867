using Lumbeck.Core.Jobs;

namespace Lumbeck.Core.Edits;

public sealed record SetWords(string Item, string Words) : ItemEdit(Item)
{
    public const int Most = 20_000;
    protected override string Fact => "words";
    protected override Item On(Item item, Job job) => Words.Length > Most
        ? throw new Refusal($"item/{Item}/words", $"{Words.Length} letters are more than a cover's text holds: shorten it to {Most}")
        : item.AsText() with { Words = Plain.Text(Words), Starter = false };
}

/// <summary>Changes what is given of a text's setting and leaves the rest.</summary>
public sealed record StyleText(string Item, Type.FaceId? Face = null, Length? Size = null, Paint? Paint = null, int? Tracking = null, decimal? Leading = null, Type.Align? Align = null, Type.Stand? Stand = null) : ItemEdit(Item)
{
    protected override string Fact => Touches.First().Split('/')[^1];

    public override IEnumerable<string> Touches
    {
        get
        {
            if (Face is not null) yield return $"item/{Item}/face";
            if (Size is not null) yield return $"item/{Item}/size";
            if (Paint is not null) yield return $"item/{Item}/ink";
            if (Tracking is not null) yield return $"item/{Item}/tracking";
            if (Leading is not null) yield return $"item/{Item}/leading";
            if (Align is not null) yield return $"item/{Item}/align";
            if (Stand is not null) yield return $"item/{Item}/stand";
        }
    }

    protected override Item On(Item item, Job job)
    {
        if (Size is { } size && (size < Length.FromPoints(1) || size > Length.FromPoints(1000)))
            throw new Refusal($"item/{Item}/size", $"type of {size.ShowPoints()} can't be set: from 1 to 1000 pt");
        if (Leading is { } leading and (< 0.5m or > 5)) throw new Refusal($"item/{Item}/leading", $"a leading of {leading.ToString(CultureInfo.InvariantCulture)} can't be set: from 0.5 to 5 times the size");
        if (Tracking is { } tracking and (< -300 or > 2000)) throw new Refusal($"item/{Item}/tracking", $"a tracking of {tracking} can't be set: from -300 to 2000 thousandths of the size");
        var text = item.AsText();
        var s = text.Style;
        return text with
        {
            Style = s with { Face = Face ?? s.Face, Size = Size ?? s.Size, Paint = Paint ?? s.Paint, Tracking = Tracking ?? s.Tracking, Leading = Leading ?? s.Leading, Align = Align ?? s.Align, Stand = Stand ?? s.Stand },
        };
    }
}
