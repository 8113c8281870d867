namespace Lumbeck.Core.Bindings;

/// <summary>
/// One way of binding, as far as its cover goes. A binding is added by adding a file with one of these
/// and naming it in <see cref="All"/>.
/// </summary>
public abstract class Binding
{
    public abstract BindingKind Kind { get; }

    /// <summary>The spine's width with its working.</summary>
    public abstract SpineSum Spine(BookFacts book, House house);

    /// <summary>The printed sheets, the first the one that carries the front.</summary>
    public abstract ImmutableArray<Sheet> Sheets(BookFacts book, House house, SpineSum spine);

    /// <summary>How the sheet's width and height come about, in words and figures.</summary>
    public abstract IEnumerable<Sum> Working(BookFacts book, House house, SpineSum spine, Unit unit);

    private static readonly Binding[] All = [new Paperback()];

    /// <summary>Whether Lumbeck lays this binding out.</summary>
    public static bool Knows(BindingKind kind) => All.Any(b => b.Kind == kind);

    /// <exception cref="Refusal">The binding is not laid out here.</exception>
    public static Binding Of(BindingKind kind) => All.FirstOrDefault(b => b.Kind == kind)
        ?? throw new Refusal("ticket/binding", $"a {kind.Word()} can't be laid out yet: take {string.Join(" or ", All.Select(b => b.Kind.Word()))}");
}
