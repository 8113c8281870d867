using Lumbeck.Core.Drawing;
using Lumbeck.Core.Jobs;

namespace Lumbeck.Core.Edits;

/// <summary>An edit of one item. A locked item is left alone by everything that would move or change it.</summary>
public abstract record ItemEdit(string Item) : Edit
{
    protected abstract string Fact { get; }
    protected virtual bool HeldByLock => true;
    public override IEnumerable<string> Touches => [$"item/{Item}/{Fact}"];
    public override string Says(Job before) => $"{Fact} of {before.Item(Item)?.Kind.ToLower(CultureInfo.InvariantCulture) ?? "an item"}";

    protected abstract Item On(Item item, Job job);

    protected override Job On(Job job) => job.WithItem(Item, i => i.Locked && HeldByLock
        ? throw new Refusal($"item/{Item}/{Fact}", $"this {i.Kind.ToLower(CultureInfo.InvariantCulture)} is locked: unlock it first")
        : On(i, job));
}

public sealed record AddItem(Item New, int? At = null) : Edit
{
    public const int Most = 500;
    public override IEnumerable<string> Touches => [$"item/{New.Id}"];
    public override string Says(Job before) => $"add {New.Kind.ToLower(CultureInfo.InvariantCulture)}";

    protected override Job On(Job job)
    {
        var items = job.Take.Items;
        if (items.Count >= Most) throw new Refusal($"item/{New.Id}", $"a cover holds up to {Most} items: remove one first");
        if (New.Id.Length is 0 or > 40 || !New.Id.All(c => char.IsAsciiLetterLower(c) || char.IsAsciiDigit(c) || c == '-') || New.Id is Piece.Ground)
            throw new Refusal("item", $"`{LengthText.Clip(New.Id)}` can't name an item: use small letters, digits and hyphens");
        if (job.Item(New.Id) is not null) throw new Refusal($"item/{New.Id}", $"there is an item `{New.Id}` already");
        return job.WithTake(job.Take with { Items = items.Insert(Math.Clamp(At ?? items.Count, 0, items.Count), New) });
    }
}

public sealed record RemoveItem(string Item) : Edit
{
    public override IEnumerable<string> Touches => [$"item/{Item}"];
    public override string Says(Job before) => $"remove {before.Item(Item)?.Kind.ToLower(CultureInfo.InvariantCulture)}";

    protected override Job On(Job job)
    {
        var item = job.Item(Item) ?? throw Job.Gone(Item);
        if (item.Locked) throw new Refusal($"item/{Item}", $"this {item.Kind.ToLower(CultureInfo.InvariantCulture)} is locked: unlock it first");
        return job.WithTake(job.Take with { Items = job.Take.Items.Remove(item) });
    }
}

/// <summary>Moves an item over (+) or under (−) its neighbours.</summary>
public sealed record OrderItem(string Item, int Steps) : Edit
{
    public override IEnumerable<string> Touches => [$"item/{Item}/order"];
    public override string Says(Job before) => $"order of {before.Item(Item)?.Kind.ToLower(CultureInfo.InvariantCulture)}";

    protected override Job On(Job job)
    {
        var items = job.Take.Items;
        var at = items.FindIndex(i => i.Id == Item);
        if (at < 0) throw Job.Gone(Item);
        var to = Math.Clamp(at + Steps, 0, items.Count - 1);
        return job.WithTake(job.Take with { Items = items.RemoveAt(at).Insert(to, items[at]) });
    }
}

public sealed record HideItem(string Item, bool Hidden) : ItemEdit(Item)
{
    protected override string Fact => "hidden";
    protected override bool HeldByLock => false;
    protected override Item On(Item item, Job job) => item with { Hidden = Hidden };
}

public sealed record LockItem(string Item, bool Locked) : ItemEdit(Item)
{
    protected override string Fact => "locked";
    protected override bool HeldByLock => false;
    protected override Item On(Item item, Job job) => item with { Locked = Locked };
}

/// <summary>
/// Hangs an item elsewhere. A new box or anchor on the same panel leaves it where it lies and changes its figures;
/// a new panel takes the figures along.
/// </summary>
public sealed record HoldItem(string Item, Part? Panel = null, HoldBox? Box = null, Anchor? Anchor = null, Length? Dx = null, Length? Dy = null) : ItemEdit(Item)
{
    protected override string Fact => "hold";

    public override IEnumerable<string> Touches
    {
        get
        {
            if (Panel is not null) yield return $"item/{Item}/panel";
            if (Box is not null) yield return $"item/{Item}/box";
            if (Anchor is not null) yield return $"item/{Item}/anchor";
            if (Dx is not null) yield return $"item/{Item}/x";
            if (Dy is not null) yield return $"item/{Item}/y";
        }
    }

    protected override Item On(Item item, Job job)
    {
        var hold = item.Hold with { Panel = Panel ?? item.Hold.Panel, Box = Box ?? item.Hold.Box, Anchor = Anchor ?? item.Hold.Anchor };
        var sheet = job.Geometry().Sheet;
        if (Placement.Of(item with { Hold = hold }, sheet) is not { } next)
            throw new Refusal($"item/{Item}/panel", $"this binding has no {hold.Panel.Say()}: hang it on another panel");
        if (hold.Panel == item.Hold.Panel && Placement.Of(item, sheet) is { } now)
        {
            var (was, wouldBe) = (now.OnSheet(item with { Turned = 0 }), next.OnSheet(item with { Turned = 0 }));
            var (right, down) = (was.X - wouldBe.X, was.Y - wouldBe.Y);
            (right, down) = next.Panel.Turn switch { Turn.Clockwise => (down, -right), Turn.CounterClockwise => (-down, right), _ => (right, down) };
            hold = hold with { Dx = hold.Dx + right, Dy = hold.Dy + down };
        }
        return item with { Hold = hold with { Dx = Dx ?? hold.Dx, Dy = Dy ?? hold.Dy } };
    }
}

/// <summary>Moves an item right and down as its panel is read.</summary>
public sealed record MoveItem(string Item, Length Right, Length Down) : ItemEdit(Item)
{
    protected override string Fact => "place";
    public override IEnumerable<string> Touches => [$"item/{Item}/x", $"item/{Item}/y"];
    protected override Item On(Item item, Job job) => item with { Hold = item.Hold with { Dx = item.Hold.Dx + Right, Dy = item.Hold.Dy + Down } };
}

public sealed record SizeItem(string Item, Span? Width = null, Span? Height = null) : ItemEdit(Item)
{
    protected override string Fact => "size";

    public override IEnumerable<string> Touches
    {
        get
        {
            if (Width is not null) yield return $"item/{Item}/width";
            if (Height is not null) yield return $"item/{Item}/height";
        }
    }

    protected override Item On(Item item, Job job)
    {
        var after = item with { Width = Width ?? item.Width, Height = Height ?? item.Height };
        if (Placement.Of(after, job.Geometry().Sheet) is { } p && (p.Box.Width.Units <= 0 || p.Box.Height.Units <= 0))
            throw new Refusal($"item/{Item}/{(p.Box.Width.Units <= 0 ? "width" : "height")}", $"{(p.Box.Width.Units <= 0 ? p.Box.Width : p.Box.Height).Show(job.Ticket.Unit)} leaves nothing to see: type more than 0");
        return after;
    }
}

public sealed record TurnItem(string Item, decimal Degrees) : ItemEdit(Item)
{
    protected override string Fact => "turned";
    protected override Item On(Item item, Job job) => item with { Turned = ((Degrees % 360) + 360) % 360 };
}

public sealed record SetWords(string Item, string Words) : ItemEdit(Item)
{
    public const int Most = 20_000;
    protected override string Fact => "words";
    protected override Item On(Item item, Job job) => Words.Length > Most
        ? throw new Refusal($"item/{Item}/words", $"{Words.Length} letters are more than a cover's text holds: shorten it to {Most}")
        : item.AsText() with { Words = Words.ReplaceLineEndings("\n"), Starter = false };
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

/// <summary>Sets a rectangle's fill, line, or both; a missing paint takes it away.</summary>
public sealed record PaintRect(string Item, Paint? Fill, Paint? Line, Length LineWidth, Length Corner) : ItemEdit(Item)
{
    protected override string Fact => "paint";
    public override IEnumerable<string> Touches => [$"item/{Item}/fill", $"item/{Item}/line", $"item/{Item}/line-width", $"item/{Item}/corner"];
    protected override Item On(Item item, Job job) => item is not RectItem rect ? throw Items.Wrong(item)
        : LineWidth < Length.Zero || LineWidth > Length.FromPoints(200) ? throw new Refusal($"item/{Item}/line-width", $"a line of {LineWidth.ShowPoints()} can't be drawn: from 0 to 200 pt")
        : Corner < Length.Zero ? throw new Refusal($"item/{Item}/corner", "a corner's radius can't be under 0")
        : rect with { Fill = Fill, Line = Line, LineWidth = LineWidth, Corner = Corner };
}

public sealed record SetBarcode(string Item, string? Number, decimal Percent) : ItemEdit(Item)
{
    protected override string Fact => "barcode";
    public override IEnumerable<string> Touches => [$"item/{Item}/number", $"item/{Item}/percent"];
    protected override Item On(Item item, Job job)
    {
        if (item is not BarcodeItem code) throw Items.Wrong(item);
        if (Number is not null && (Number.Length != 13 || !Number.All(char.IsAsciiDigit))) throw new Refusal($"item/{Item}/number", $"`{LengthText.Clip(Number)}` has no 13 digits: type all of them, or leave it blank for the ticket's ISBN");
        if (Percent is < 50 or > 300) throw new Refusal($"item/{Item}/percent", $"{Percent.ToString(CultureInfo.InvariantCulture)} % can't be drawn: from 50 to 300 %");
        return code with { Number = Number, Percent = Percent };
    }
}

internal static class Items
{
    public static TextItem AsText(this Item item) => item as TextItem ?? throw Wrong(item);
    public static Refusal Wrong(Item item) => new($"item/{item.Id}", $"a {item.Kind.ToLower(CultureInfo.InvariantCulture)} has no such setting");
}
