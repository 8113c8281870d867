namespace Lumbeck.Core.Tests;

/// <summary>
/// A property over values drawn by chance: always the same ones in <c>./test</c>, so that a change is judged by what
/// it did; new ones and twenty times as many with <c>./test --all</c>, which is where a rare slip is looked for.
/// </summary>
[AttributeUsage(AttributeTargets.Method)]
#pragma warning disable xUnit3003 // The attribute it extends takes no place in the source.
public sealed class ByChanceAttribute : PropertyAttribute
#pragma warning restore xUnit3003
{
    private const string Seed = "(15078614468387701054,14954929253613581931)";

    /// <param name="times">How many values are drawn.</param>
    public ByChanceAttribute(int times = 100)
    {
        var all = Environment.GetEnvironmentVariable("LUMBECK_TEST_ALL") == "1";
        MaxTest = all ? 20 * times : times;
        if (!all) Replay = Seed;
    }
}
