namespace Lumbeck.Core.Edits.OfItems;

/// <summary>Gives an item a name of its own; a blank one takes it away.</summary>
public sealed record NameItem(string Item, string Name) : ItemEdit(Item)
{
    public const int Most = 60;
    protected override string Fact => "name";
    protected override bool HeldByLock => false;
    protected override Item On(Item item, Job job) => Plain.Line(Name) is { Length: <= Most } name
        ? item with { Name = name }
        : throw new Refusal($"item/{Item}/name", $"a name of {Name.Length} letters is too long: up to {Most}");
}

/// <summary>Marks an item as one that must not be cut or folded.</summary>
public sealed record KeepWhole(string Item, bool Whole) : ItemEdit(Item)
{
    protected override string Fact => "whole";
    protected override Item On(Item item, Job job) => item with { Whole = Whole };
}

/// <summary>Lets what lies under an item show through it.</summary>
/// <param name="Item">The item.</param>
/// <param name="Opacity">In percent, from 0 to 100.</param>
public sealed record FadeItem(string Item, decimal Opacity) : ItemEdit(Item)
{
    protected override string Fact => "opacity";
    protected override Item On(Item item, Job job) => Opacity is < 0 or > 100
        ? throw new Refusal($"item/{Item}/opacity",
            $"an opacity of {Opacity.ToString(CultureInfo.InvariantCulture)} % is none: from 0 to 100 %")
        : item with { Opacity = Opacity };
}

public sealed record BlendItem(string Item, Blend Blend) : ItemEdit(Item)
{
    protected override string Fact => "blend";
    protected override Item On(Item item, Job job) => item with { Blend = Blend };
}
