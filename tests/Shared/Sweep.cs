namespace Lumbeck.Tests;

/// <summary>How much is asked: a spread of each sweep in <c>./test</c>, all of it with <c>./test --all</c>.</summary>
internal static class Sweep
{
    public static bool IsLong => Environment.GetEnvironmentVariable("LUMBECK_TEST_ALL") == "1";

    /// <summary>Every one, or every so-manieth of a sweep.</summary>
    public static IEnumerable<T> Spread<T>(IEnumerable<T> all, int every, int from = 0) =>
        all.Where((_, n) => IsLong || n % every == from % every);
}
