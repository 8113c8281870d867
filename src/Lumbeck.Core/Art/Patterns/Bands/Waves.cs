namespace Lumbeck.Core.Art.Patterns;

/// <summary>Waves over waves: each row a swell of its own, with a crest line and a finer one under it.</summary>
public sealed record Waves : Pattern
{
    /// <summary>From crest to crest, in millimetres.</summary>
    public decimal Length { get; init; } = 36m;

    /// <summary>How high a swell stands, in percent of its length.</summary>
    public decimal Height { get; init; } = 22m;

    public override string Kind => "waves";

    public override ImmutableArray<string> Slots => ["Swell", "Crest", "Ripple"];

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<Waves>("length", "Length", " mm", 10m, 120m, p => p.Length, (p, n) => p with { Length = n }),
            Number<Waves>("height", "Height", " %", 5m, 60m, p => p.Height, (p, n) => p with { Height = n }),
        ];

    protected override IEnumerable<Drawn> Draw(Bounds window)
    {
        var (length, high) = ((double)Length, (double)Length * (double)Height / 100);
        var pitch = length * 0.34;
        for (var row = (int)Math.Floor((window.Top - (2 * high)) / pitch) - 1;
            row * pitch <= window.Bottom + (2 * high); row++)
        {
            var shift = Seeded.At(row, 0, Seed) * length;
            var y = row * pitch;
            Outline swell(double down, bool closed) => Shapes.Of(pen =>
            {
                var first = (int)Math.Floor((window.Left - shift) / length) - 1;
                var last = (int)Math.Ceiling((window.Right - shift) / length) + 1;
                pen.Move(Seeded.Round((first * length) + shift), Seeded.Round(y + down));
                for (var n = first; n < last; n++)
                {
                    var (x, to) = ((n * length) + shift, ((n + 1) * length) + shift);
                    // Up to the crest, and down again.
                    double across(double part) => Seeded.Round(x + (length * part));
                    var (low, top) = (Seeded.Round(y + down), Seeded.Round(y - high + down));
                    pen.Cubic(across(0.3), low, across(0.32), top, across(0.5), top);
                    pen.Cubic(across(0.68), top, across(0.7), low, Seeded.Round(to), low);
                }
                if (!closed) return;
                pen.Line(Seeded.Round((last * length) + shift), Seeded.Round(y + pitch * 1.6));
                pen.Line(Seeded.Round((first * length) + shift), Seeded.Round(y + pitch * 1.6));
                pen.Close();
            });
            yield return new Area(swell(0, closed: true));
            yield return new Line(swell(0, closed: false), 1.1, 1);
            yield return new Line(swell(high * 0.34, closed: false), 0.5, 2);
        }
    }
}
