using System.Globalization;

namespace Lumbeck.Bench;

/// <summary>What a line is to stay under; a line that misses its aim says so.</summary>
/// <param name="Most">The most it may be.</param>
/// <param name="Unit">µs, ms, s, kB, MB, or × for a share of the peer's figure.</param>
/// <param name="Of">What of the line is meant, where that is not its first figure.</param>
internal readonly record struct Aim(double Most, string Unit, string Of = "")
{
    /// <summary>What is said after a line: the aim, and whether it was missed.</summary>
    /// <param name="measured">In the aim's own unit.</param>
    public string Says(double measured)
    {
        var of = Of.Length > 0 ? Of + " " : "";
        var aim = string.Create(CultureInfo.InvariantCulture, $"   {of}aim {Most} {Unit}");
        return measured <= Most
            ? aim
            : string.Create(CultureInfo.InvariantCulture, $"{aim}: MISSED, {measured:0.00} {Unit}");
    }

    /// <summary>The same of a time in microseconds.</summary>
    public string SaysOf(double microseconds) =>
        Says(Unit switch { "ms" => microseconds / 1000, "s" => microseconds / 1e6, _ => microseconds });
}
