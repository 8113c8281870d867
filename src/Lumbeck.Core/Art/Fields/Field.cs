namespace Lumbeck.Core.Art.Fields;

/// <summary>What a field's text depends on beside the thing itself.</summary>
/// <param name="Unit">The job's unit.</param>
/// <param name="Swatches">The job's swatches.</param>
/// <param name="Finishes">The finishing inks its house offers.</param>
public sealed record FieldTerms(Unit Unit, IReadOnlyList<Swatch> Swatches, IReadOnlyList<string> Finishes);

/// <summary>A value of any field, as edits carry it; nothing at all stands for none.</summary>
public sealed record FieldValue(Length? Length = null, decimal? Number = null, string? Words = null,
    Paint? Paint = null);

/// <summary>
/// One thing that is given of an item or a pattern: what it is called, how it is read from what people type, shown,
/// kept, and what it may be. Screens, typed facts, edits and the door for jobs made elsewhere all go by it.
/// </summary>
/// <param name="Key">Its word in paths.</param>
/// <param name="Label">What people read.</param>
public abstract record Field(string Key, string Label)
{
    /// <summary>What is said beside it on screen.</summary>
    public string Hint { get; init; } = "";

    /// <summary>Whether it takes a row of the screen to itself.</summary>
    public bool Wide { get; init; }

    /// <summary>Whether its words run over several lines.</summary>
    public bool IsLong { get; init; }

    /// <summary>What can be picked, as (text to type, what people read); empty where it is typed.</summary>
    public IReadOnlyList<(string Text, string Label)> Choices { get; init; } = [];

    /// <summary>Texts that are suggested and need not be taken.</summary>
    public IReadOnlyList<string> Suggested { get; init; } = [];

    /// <summary>The least and the most it may be, and its unit, where it is a figure with both.</summary>
    public (decimal Least, decimal Most, string Unit)? Range { get; init; }

    /// <summary>Whether it is a paint.</summary>
    public abstract bool TakesPaint { get; }

    /// <summary>Whether it is either so or not.</summary>
    public abstract bool IsSwitch { get; }

    /// <summary>Whether it is words, not a figure.</summary>
    public abstract bool IsWords { get; }

    /// <summary>What it says of an item or pattern.</summary>
    public abstract string Show(object of, FieldTerms terms);

    /// <summary>What a typed text means.</summary>
    /// <exception cref="Refusal">It can't be read.</exception>
    public abstract FieldValue Read(string text, FieldTerms terms);

    /// <summary>The same item or pattern with another value.</summary>
    /// <exception cref="Refusal">The value is out of its range; the range is named.</exception>
    public abstract object With(object of, FieldValue value, Unit unit);

    /// <summary>Whether what is given of it could have been typed.</summary>
    public abstract bool IsSound(object of);
}

/// <summary>A field of one kind of item or pattern, and of one kind of value.</summary>
/// <param name="Key">Its word in paths.</param>
/// <param name="Label">What people read.</param>
/// <param name="Kind">How such values are read and shown.</param>
/// <param name="Of">Its value.</param>
/// <param name="To">The same thing with another value.</param>
public sealed record Field<TOf, T>(string Key, string Label, ValueKind<T> Kind, Func<TOf, T> Of, Func<TOf, T, TOf> To)
    : Field(Key, Label) where TOf : class
{
    /// <summary>Why a value can't be, in words, with its range; null where it can.</summary>
    public Func<T, Unit, string?> Fault { get; init; } = (_, _) => null;

    public override bool TakesPaint => typeof(T) == typeof(Paint);
    public override bool IsSwitch => typeof(T) == typeof(bool);
    public override bool IsWords => TakesPaint || typeof(T) == typeof(string) && !Kind.IsFigure;

    public override string Show(object of, FieldTerms terms) => Kind.Show(Of((TOf)of), terms);

    public override FieldValue Read(string text, FieldTerms terms) => Kind.Keep(Kind.Read(text, terms));

    public override object With(object of, FieldValue value, Unit unit)
    {
        var given = Kind.Take(value);
        return Fault(given, unit) is { } fault ? throw Typed.No(fault) : To((TOf)of, given);
    }

    public override bool IsSound(object of)
    {
        var given = Of((TOf)of);
        return Kind.IsSound(given) && Fault(given, Unit.Millimetre) is null;
    }
}
