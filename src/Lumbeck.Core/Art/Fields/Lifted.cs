namespace Lumbeck.Core.Art.Fields;

/// <summary>A field of a part, as a field of the whole.</summary>
/// <param name="Inner">The part's field.</param>
/// <param name="Of">The part.</param>
/// <param name="To">The whole with another part.</param>
public sealed record Lifted<TWhole, TPart>(Field Inner, Func<TWhole, TPart> Of, Func<TWhole, TPart, TWhole> To)
    : Field(Inner.Key, Inner.Label) where TWhole : class where TPart : class
{
    public override bool TakesPaint => Inner.TakesPaint;
    public override bool IsSwitch => Inner.IsSwitch;
    public override bool IsWords => Inner.IsWords;
    public override string Show(object of, FieldTerms terms) => Inner.Show(Of((TWhole)of), terms);
    public override FieldValue Read(string text, FieldTerms terms) => Inner.Read(text, terms);
    public override object With(object of, FieldValue value, Unit unit) =>
        To((TWhole)of, (TPart)Inner.With(Of((TWhole)of), value, unit));
    public override bool IsSound(object of) => Inner.IsSound(Of((TWhole)of));
}

/// <summary>Fields of parts, lifted.</summary>
public static class Lifting
{
    /// <summary>A part's field as the whole's, told the same way.</summary>
    public static Field Lift<TWhole, TPart>(this Field inner, Func<TWhole, TPart> of, Func<TWhole, TPart, TWhole> to)
        where TWhole : class where TPart : class => new Lifted<TWhole, TPart>(inner, of, to)
        {
            Hint = inner.Hint,
            Wide = inner.Wide,
            Choices = inner.Choices,
            Suggested = inner.Suggested,
            Range = inner.Range,
        };
}
