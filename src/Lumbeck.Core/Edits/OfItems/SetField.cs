namespace Lumbeck.Core.Edits.OfItems;

/// <summary>Gives one field of an item another value; what it may be, the item's own kind says.</summary>
/// <param name="Item">The item.</param>
/// <param name="Field">The field's word.</param>
/// <param name="Value">The value.</param>
public sealed record SetField(string Item, string Field, FieldValue Value) : ItemEdit(Item)
{
    protected override string Fact => Field;

    protected override Item On(Item item, Job job)
    {
        var field = item.Fields.FirstOrDefault(f => f.Key == Field) ?? throw Items.Wrong(item);
        return Attempt.At($"item/{Item}/{Field}", () => (Item)field.With(item, Value, job.Ticket.Unit));
    }
}

/// <summary>Edits that set a field, by the field itself.</summary>
public static class SettingFields
{
    /// <summary>The edit that gives an item's field a value.</summary>
    public static SetField Set<TItem, T>(this Field<TItem, T> field, string item, T value) where TItem : Item =>
        new(item, field.Key, field.Kind.Keep(value));
}

/// <summary>Gives one field of the pattern that fills a shape another value.</summary>
/// <param name="Item">The shape.</param>
/// <param name="Field">The field's word.</param>
/// <param name="Value">The value.</param>
public sealed record SetPattern(string Item, string Field, FieldValue Value) : ShapeEdit(Item)
{
    protected override string Fact => "paper-" + Field;

    protected override ShapeItem On(ShapeItem shape)
    {
        var path = $"item/{Item}/{Fact}";
        var pattern = shape.Fill?.Pattern ?? throw new Refusal(path, "no pattern fills this: pick one first");
        return shape with { Fill = shape.Fill with { Pattern = (Pattern)pattern.With(Field, Value, path) } };
    }
}
