namespace Lumbeck.Core.Trade.Stock;

/// <summary>How a book is held together, as far as its cover is concerned.</summary>
public enum BindingKind { Front, Paperback, Booklet, Loose, Case, Jacket }

public static class BindingKinds
{
    /// <summary>The words of a house file and the command line.</summary>
    public static IReadOnlyList<(string Word, BindingKind Value)> Words { get; } =
        [("front", BindingKind.Front), ("paperback", BindingKind.Paperback), ("booklet", BindingKind.Booklet),
            ("loose", BindingKind.Loose), ("case", BindingKind.Case), ("jacket", BindingKind.Jacket)];

    public static string Word(this BindingKind kind) => Words.First(w => w.Value == kind).Word;

    /// <summary>One of it, in a sentence: “a paperback”.</summary>
    public static string OfOne(this BindingKind kind) => kind == BindingKind.Loose ? kind.Say() : "a " + kind.Say();

    /// <summary>What people call it.</summary>
    public static string Say(this BindingKind kind) => kind switch
    {
        BindingKind.Front => "front alone",
        BindingKind.Booklet => "stapled booklet",
        BindingKind.Loose => "loose covers",
        BindingKind.Case => "printed case",
        BindingKind.Jacket => "case with jacket",
        _ => "paperback",
    };
}
