using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;

namespace Lumbeck.Core.Art.Sketches;

/// <summary>How JSON tells the kinds of one sort of art apart: by the word that its shelf has for each.</summary>
internal static class KindRegistration
{
    /// <summary>Tells JSON the kinds of a sort by their words.</summary>
    /// <param name="type">The type that JSON asks of; any but the sort's own is left as it is.</param>
    /// <param name="all">The shelf.</param>
    public static void Tell<T>(JsonTypeInfo type, IEnumerable<(string Word, T First)> all) where T : class
    {
        if (type.Type != typeof(T)) return;
        type.PolymorphismOptions = new()
        {
            TypeDiscriminatorPropertyName = "is",
            UnknownDerivedTypeHandling = JsonUnknownDerivedTypeHandling.FailSerialization,
        };
        foreach (var (word, first) in all) type.PolymorphismOptions.DerivedTypes.Add(new(first.GetType(), word));
    }
}
