using Xunit.v3;

namespace Lumbeck.Tests;

/// <summary>A test of what takes long, which a short run leaves to <c>./test --wide</c>.</summary>
[AttributeUsage(AttributeTargets.Method | AttributeTargets.Class)]
internal sealed class WideAttribute : Attribute, ITraitAttribute
{
    public IReadOnlyCollection<KeyValuePair<string, string>> GetTraits() => [new("width", "wide")];
}
