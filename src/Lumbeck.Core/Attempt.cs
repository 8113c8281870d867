namespace Lumbeck.Core;

/// <summary>
/// What may be refused, where a refusal is an answer and not an end: a row that does not fit is told, a house that can't
/// bind so is passed over. A door that turns a refusal into its maker's answer does so in one place of its own.
/// </summary>
public static class Attempt
{
    /// <summary>What is made, or what stands for it where it is refused.</summary>
    public static T Or<T>(Func<T> make, Func<Refusal, T> refused)
    {
        try { return make(); }
        catch (Refusal r) { return refused(r); }
    }

    /// <summary>What is made; nothing where it is refused.</summary>
    public static T? OrNull<T>(Func<T?> make) => Or(make, _ => default);

    /// <summary>Does it, and says why it was refused; null where it was done.</summary>
    public static Refusal? Of(Action act) => Or(() => { act(); return null; }, Refusal? (r) => r);

    /// <summary>What is made, or why it is not.</summary>
    public static (T? Made, Refusal? Why) Of<T>(Func<T> make) => Or(() => (make(), null), (T?, Refusal?) (r) => (default, r));

    /// <summary>What is made; a refusal that names no fact is told of this one.</summary>
    public static T At<T>(string path, Func<T> make) => Telling(r => r.Path.Length == 0 ? r.At(path) : r, make);

    /// <summary>What is made; a refusal is told in other words, or of another fact.</summary>
    public static T Telling<T>(Func<Refusal, Refusal> tell, Func<T> make) => Or(make, T (r) => throw tell(r));
}
