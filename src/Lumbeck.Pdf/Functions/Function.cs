using System.Text;
using Lumbeck.Pdf.Reading;

namespace Lumbeck.Pdf.Functions;

/// <summary>A function of a PDF (ISO 32000-1, 7.10): figures in, figures out, each within its range.</summary>
public abstract class Function(double[] domain, double[]? range)
{
    /// <summary>Most figures in or out, and most samples, of one.</summary>
    public const int MostFigures = 32, MostSamples = 4_000_000;

    public int Inputs => domain.Length / 2;

    public double[] Domain => domain;

    /// <summary>How many figures come out; null where that is not said.</summary>
    protected int? Outputs => range?.Length / 2;

    public double[] Evaluate(ReadOnlySpan<double> input)
    {
        var x = new double[Inputs];
        for (var n = 0; n < x.Length; n++) x[n] = Within(n < input.Length ? input[n] : 0, domain[2 * n],
            domain[(2 * n) + 1]);
        var y = Worked(x);
        if (range is not null)
            for (var n = 0; n < y.Length && (2 * n) + 1 < range.Length; n++) y[n] = Within(y[n], range[2 * n],
                range[(2 * n) + 1]);
        return y;
    }

    protected abstract double[] Worked(double[] x);

    protected static double Within(double v, double a, double b) => double.IsNaN(v) ? a
        : Math.Min(Math.Max(v, Math.Min(a, b)), Math.Max(a, b));

    protected static double Between(double x, double x0, double x1, double y0, double y1) =>
        x1 == x0 ? y0 : y0 + ((x - x0) * (y1 - y0) / (x1 - x0));

    /// <exception cref="PdfReadException">It is none that can be worked out.</exception>
    public static Function Read(PdfFile file, PdfObject? token, int depth = 0)
    {
        token = file.Resolve(token);
        // Several of one figure each are one of several.
        if (token is PdfArray several)
        {
            Function[] each = [.. several.Items.Take(MostFigures).Select(t => Read(file, t, depth + 1))];
            return each.Length == 0 ? throw No() : new Side(each);
        }
        if (depth > 8 || PdfFile.Dict(token) is not { } d || file.Numbers(d,
            "Domain") is not { Length: >= 2 } domain
            || domain.Length % 2 == 1 || domain.Length > 2 * MostFigures)
            throw No();
        var range = file.Numbers(d, "Range");
        return (int?)file.Number(d, "FunctionType") switch
        {
            0 when token is PdfStream s && range is { Length: >= 2 } => Samples(file, s, domain, range),
            2 => new ExponentialFunction(domain, range, file.Numbers(d, "C0") ?? [0], file.Numbers(d, "C1") ?? [1],
                file.Number(d, "N") ?? 1),
            3 when file.Items(file.Get(d,
                "Functions")) is { Count: > 0 and < 400 } parts => new StitchingFunction(domain, range,
                [.. parts.Select(p => Read(file, p, depth + 1))], file.Numbers(d, "Bounds") ?? [],
                file.Numbers(d, "Encode") ?? []),
            4 when token is PdfStream s && range is not null => new PostScriptFunction(domain, range,
                Encoding.Latin1.GetString(file.Decode(s))),
            _ => throw No(),
        };
    }

    private static PdfReadException No() => new("it holds a function that can’t be worked out");

    private static SampledFunction Samples(PdfFile file, PdfStream s, double[] domain, double[] range)
    {
        var d = s.Dict;
        var (ins, outs) = (domain.Length / 2, range.Length / 2);
        int[] size = [.. (file.Numbers(d, "Size") ?? []).Select(v => (int)v)];
        var bits = (int)(file.Number(d, "BitsPerSample") ?? 8);
        if (size.Length != ins || size.Any(n => n < 1) || bits is not (1 or 2 or 4 or 8 or 12 or 16 or 24 or 32)
            || size.Aggregate(1.0, (a, b) => a * b) * outs > MostSamples || ins > 4)
            throw No();
        var count = size.Aggregate(1, (a, b) => a * b) * outs;
        var reader = new BitReader(file.Decode(s));
        var values = new float[count];
        var most = Math.Pow(2, bits) - 1;
        for (var n = 0; n < count; n++) values[n] = (float)(reader.Next(bits) / most);
        return new(domain, range, size, file.Numbers(d, "Encode") ?? [.. size.SelectMany(n => (double[])[0, n - 1])],
            file.Numbers(d, "Decode") ?? range, values);
    }

    private sealed class Side(Function[] each) : Function(each[0].Domain, null)
    {
        protected override double[] Worked(double[] x) => [.. each.Select(f => f.Evaluate(x)[0])];
    }

    private sealed class ExponentialFunction(double[] domain, double[]? range, double[] from, double[] to,
        double n) : Function(domain, range)
    {
        protected override double[] Worked(double[] x)
        {
            var t = n == 1 ? x[0] : Math.Pow(Math.Max(0, x[0]), n);
            return [.. from.Zip(to, (a, b) => a + (t * (b - a)))];
        }
    }

    private sealed class StitchingFunction(double[] domain, double[]? range, Function[] parts, double[] bounds,
        double[] encode)
        : Function(domain, range)
    {
        protected override double[] Worked(double[] x)
        {
            var k = 0;
            while (k < Math.Min(bounds.Length, parts.Length - 1) && x[0] >= bounds[k]) k++;
            var from = k == 0 ? Domain[0] : bounds[k - 1];
            var to = k < bounds.Length ? bounds[k] : Domain[1];
            var (a, b) = (2 * k) + 1 < encode.Length ? (encode[2 * k], encode[(2 * k) + 1]) : (0, 1);
            return parts[k].Evaluate([Between(x[0], from, to, a, b)]);
        }
    }

    private sealed class SampledFunction(double[] domain, double[] range, int[] size, double[] encode,
        double[] decode, float[] values)
        : Function(domain, range)
    {
        protected override double[] Worked(double[] x)
        {
            var outs = Outputs!.Value;
            var (low, share) = (new int[Inputs], new double[Inputs]);
            for (var n = 0; n < Inputs; n++)
            {
                var e = Within(Between(x[n], Domain[2 * n], Domain[(2 * n) + 1], encode[2 * n], encode[(2 * n) + 1]),
                    0, size[n] - 1);
                low[n] = Math.Min((int)e, Math.Max(0, size[n] - 2));
                share[n] = e - low[n];
            }
            var y = new double[outs];
            for (var corner = 0; corner < 1 << Inputs; corner++)
            {
                var (weight, at, step) = (1.0, 0, 1);
                for (var n = 0; n < Inputs; n++)
                {
                    var high = (corner >> n) & 1;
                    weight *= high == 1 ? share[n] : 1 - share[n];
                    at += Math.Min(low[n] + high, size[n] - 1) * step;
                    step *= size[n];
                }
                if (weight > 0) for (var n = 0; n < outs; n++) y[n] += weight * values[(at * outs) + n];
            }
            for (var n = 0; n < outs; n++) y[n] = decode[2 * n] + (y[n] * (decode[(2 * n) + 1] - decode[2 * n]));
            return y;
        }
    }
}

/// <summary>Samples of any number of bits, one after the other, the highest bit first.</summary>
public sealed class BitReader(byte[] data)
{
    private long _at;

    public bool Ended => _at >= 8L * data.Length;

    public uint Next(int bits)
    {
        ulong value = 0;
        for (var left = bits; left > 0;)
        {
            var (index, within) = ((int)(_at >> 3), (int)(_at & 7));
            var take = Math.Min(left, 8 - within);
            var b = index < data.Length ? data[index] : 0;
            value = (value << take) | (uint)((b >> (8 - within - take)) & ((1 << take) - 1));
            _at += take;
            left -= take;
        }
        return (uint)value;
    }

    /// <summary>On to the next whole byte.</summary>
    public void Align() => _at = (_at + 7) & ~7L;
}
