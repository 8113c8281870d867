namespace Lumbeck.Tests;

/// <summary>
/// How much is asked: a spread of each sweep in <c>./test</c>, more with <c>./test --wide</c>, all with
/// <c>./test --all</c>.
/// </summary>
internal static class Sweep
{
    public static bool IsLong => Environment.GetEnvironmentVariable("LUMBECK_TEST_ALL") == "1";

    public static bool IsWide => IsLong || Environment.GetEnvironmentVariable("LUMBECK_TEST_WIDE") == "1";

    /// <summary>Every one, or every so-manieth of a sweep unless all are asked for.</summary>
    public static IEnumerable<T> Spread<T>(IEnumerable<T> all, int every, int from = 0) =>
        all.Where((_, n) => IsLong || n % every == from % every);

    /// <summary>Every one where much is asked, every so-manieth in a short run.</summary>
    public static IEnumerable<T> Few<T>(IEnumerable<T> all, int every, int from = 0) =>
        all.Where((_, n) => IsWide || n % every == from % every);

    /// <summary>How many in a long run, in a wide one, and in a short one.</summary>
    public static int Many(int all, int wide, int few) => IsLong ? all : IsWide ? wide : few;
}
