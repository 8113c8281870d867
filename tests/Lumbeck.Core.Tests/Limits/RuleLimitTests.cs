using Lumbeck.Core.Checks.OfPictures;
using Lumbeck.Core.Checks.OfText;
using Lumbeck.Core.Checks.OfTicket;
using Lumbeck.Core.Checks.OfZones;

namespace Lumbeck.Core.Tests.Limits;

/// <summary>Rules of sheets a hair on either side of their limits, and where their mends lead.</summary>
public sealed class RuleLimitTests
{
    private static Length Mm(decimal mm) => Length.FromMillimetres(mm);

    private static House Tern => HouseFile.Shipped["tern"];

    /// <summary>A job's sheet on which an item is drawn otherwise.</summary>
    private static CheckContext Look(Job job, string id, Func<DrawnItem, CheckContext, DrawnItem> as_)
    {
        var scene = Sample.Scene(job);
        var look = new CheckContext(job, job.Sheets()[0], scene);
        var drawn = scene.Item(id)!;
        return look with { Scene = scene with { Items = scene.Items.Replace(drawn, as_(drawn, look)) } };
    }

    private static Bounds Bounded(Box box) => Bounds.Of(box);

    /// <summary>Rounding is no step over a line: 0.01 mm. Letters may swing 0.4 mm out of a box that is where it should be.</summary>
    [Theory]
    [InlineData(0.009, false, false)]
    [InlineData(0.012, false, true)]
    [InlineData(0.012, true, false)]
    [InlineData(0.39, true, false)]
    [InlineData(0.42, true, true)]
    public void What_is_past_a_line_is_past_it_by_more_than_rounding(decimal mm, bool boxed, bool found)
    {
        var look = Look(Sample.Job(Sample.Text("w", "word")), "w", (d, l) => d with
        {
            Inked = Bounded(Box.FromEdges(l.Sheet.Safe.X - Mm(mm), l.Sheet.Safe.Y, l.Sheet.Safe.X + Mm(20),
                l.Sheet.Safe.Y + Mm(5))),
            Frame = Bounded(Box.FromEdges(l.Sheet.Safe.X - (boxed ? Length.Zero : Mm(1)), l.Sheet.Safe.Y,
                l.Sheet.Safe.X + Mm(20),
                l.Sheet.Safe.Y + Mm(5))),
        });
        new ZoneTrim().Check(look).Any(f => f.Item == "w").ShouldBe(found);
    }

    /// <summary>What is too wide for its room is laid in it at its full width, as near to where it was as that allows.</summary>
    [Fact]
    public void What_is_too_large_is_laid_in_its_room_about_its_middle()
    {
        var look = Look(Sample.Job(Sample.Text("w", "word")), "w", (d, l) => d with
        {
            Inked = Bounded(Box.FromEdges(l.Sheet.Safe.X + Mm(30), l.Sheet.Safe.Y - Mm(30), l.Sheet.Safe.X + Mm(70),
                l.Sheet.Safe.Bottom + Mm(40))),
        });
        var safe = look.Sheet.Safe;
        var lay = ((Together)new ZoneTrim().Check(look).Single(f => f.Item == "w").Fix!).Edits.OfType<LayItem>()
            .Single();
        Length.Abs(lay.MiddleX - (safe.X + Mm(50))).ShouldBeLessThan(Mm(0.001m));
        (lay.MiddleY, lay.Height).ShouldBe((safe.Y + (0.5m * safe.Height), safe.Height));
        var wide = Look(Sample.Job(Sample.Text("w", "word")), "w", (d, l) => d with
        {
            Inked = Bounded(Box.FromEdges(l.Sheet.Safe.X - Mm(30), l.Sheet.Safe.Y + Mm(10),
                l.Sheet.Safe.Right + Mm(40), l.Sheet.Safe.Y + Mm(50))),
        });
        var level = ((Together)new ZoneTrim().Check(wide).Single(f => f.Item == "w").Fix!).Edits.OfType<LayItem>()
            .Single();
        Length.Abs(level.MiddleY - (safe.Y + Mm(30))).ShouldBeLessThan(Mm(0.001m));
        (level.MiddleX, level.Width).ShouldBe((safe.X + (0.5m * safe.Width), safe.Width));
    }

    /// <summary>What is too high and lies over a side of its room comes to lie along that side.</summary>
    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public void What_is_too_large_and_over_a_side_is_laid_along_it(bool left)
    {
        var look = Look(Sample.Job(Sample.Text("w", "word")), "w", (d, l) => d with
        {
            Inked = Bounded(new((left ? l.Sheet.Safe.X : l.Sheet.Safe.Right) - Mm(20), l.Sheet.Safe.Y - Mm(30), Mm(40),
                l.Sheet.Safe.Height + Mm(60))),
        });
        var lay = ((Together)new ZoneTrim().Check(look).Single(f => f.Item == "w").Fix!).Edits.OfType<LayItem>().Single();
        var side = left ? look.Sheet.Safe.X + Mm(20) : look.Sheet.Safe.Right - Mm(20);
        Length.Abs(lay.MiddleX - side).ShouldBeLessThan(Mm(0.001m));
    }

    /// <summary>A swatch that is laid whole is changed itself; a tint of one becomes an ink of its own.</summary>
    [Theory]
    [InlineData(10_000, true)]
    [InlineData(5_000, false)]
    public void A_mend_of_a_whole_swatch_changes_the_swatch(int tint, bool swatch)
    {
        var job = Sample.Job(Sample.Text("w", "words", size: 8) with
        {
            Style = Sample.Style(8) with { Paint = new SwatchPaint("mud") { Tint = tint } },
        });
        job = job with { Swatches = job.Swatches.Add(new("mud", "Mud", Ink.Percent(80, 80, 80, 40))) };
        (Sample.Check(job).Single(f => f is { Id: "text.inks", Item: "w" }).Fix is SetSwatch).ShouldBe(swatch);
    }

    /// <summary>Small words may have two inks; one counts over 15 %, and together they must come to 60 %.</summary>
    [Theory]
    [InlineData(40, 20, 15, 0, false)]
    [InlineData(40, 20, 16, 0, true)]
    [InlineData(22, 20, 17, 0, false)]
    [InlineData(22, 20, 18, 0, true)]
    // Mostly black: from half of it on, beside colours of up to 60 %.
    [InlineData(60, 60, 0, 50, false)]
    [InlineData(61, 60, 0, 50, true)]
    [InlineData(60, 60, 0, 49, true)]
    public void Small_words_are_in_two_inks(int c, int m, int y, int k, bool found) =>
        Sample.Check(Sample.Job(Sample.Text("w", "words", size: 8) with
        {
            Style = Sample.Style(8) with { Paint = new InkPaint(Ink.Percent(c, m, y, k)) },
        })).Any(f => f is { Id: "text.inks", Item: "w" }).ShouldBe(found);

    [Fact]
    public void Fewer_inks_are_the_two_strongest_and_black_takes_the_others_share()
    {
        var found = Sample.Check(Sample.Job(Sample.Text("w", "words", size: 8) with
        {
            Style = Sample.Style(8) with { Paint = new InkPaint(Ink.Percent(90, 70, 40, 45)) },
        })).Single(f => f is { Id: "text.inks", Item: "w" });
        found.Fix.ShouldBe(new StyleText("w", Paint: new InkPaint(Ink.Percent(50, 0, 0, 85))));
        // Black is never more than all of it.
        ((StyleText)Sample.Check(Sample.Job(Sample.Text("w", "words", size: 8) with
        {
            Style = Sample.Style(8) with { Paint = new InkPaint(Ink.Percent(90, 80, 70, 48)) },
        })).Single(f => f is { Id: "text.inks", Item: "w" }).Fix!).Paint.ShouldBe(new InkPaint(Ink.Percent(20, 0, 0,
            100)));
    }

    /// <summary>Letters under 40 % of ink in all are light ones, and held to the larger limit.</summary>
    [Theory]
    [InlineData(40, false)]
    [InlineData(39, true)]
    public void Letters_are_light_under_two_fifths_of_ink(int percent, bool light)
    {
        var house = Tern with { TextLeast = Length.FromPoints(6), TextReversedLeast = Length.FromPoints(8) };
        var style = Sample.Style(7) with { Paint = new InkPaint(Ink.Percent(percent, 0, 0, 0)) };
        Sample.Check(new SetHouse(house).Apply(Sample.Job(Sample.Text("w", "word") with { Style = style })))
            .Any(f => f is { Id: "text.size", Item: "w" }).ShouldBe(light);
    }

    /// <summary>A line is held to the house's least but for two hundredths of a hair.</summary>
    [Theory]
    [InlineData(0.496, false)]
    [InlineData(0.494, true)]
    public void A_line_may_be_thinner_by_rounding_alone(double width, bool found)
    {
        var house = Tern with { RuleLeast = Length.FromPoints(0.5m), RuleReversedLeast = Length.FromPoints(0.5m) };
        var line = new LineItem
        {
            Id = "l",
            Hold = new(Part.Front, HoldBox.Safe, Anchor.Middle, default, default),
            Width = new(Length.FromInches(2)),
            Line = new InkPaint(Ink.Black),
            LineWidth = Length.FromPoints(1),
        };
        var look = Look(new SetHouse(house).Apply(Sample.Job(line)), "l",
            (d, _) => d with { Marks = [new LineMark(Outline.Rectangle(0, 0, 100, 1), width, Ink.Black)] });
        new LineWeight().Check(look).Any(f => f.Item == "l").ShouldBe(found);
    }

    [Theory]
    [InlineData(7, true)]
    [InlineData(8, false)]
    public void A_word_alone_on_a_last_line_is_short(int letters, bool found)
    {
        var words = string.Join(' ', Enumerable.Repeat("abcdefghij", 3)) + " " + new string('x', letters);
        // Letters are half an em wide: three words and their spaces fill the first line.
        var text = Sample.Text("w", words, wide: 3.1m, high: 2);
        Sample.Check(Sample.Job(text)).Any(f => f is { Id: "text.typography", Item: "w" } && f.Measured
            .EndsWith("alone", StringComparison.Ordinal))
            .ShouldBe(found);
    }

    [Fact]
    public void As_many_letters_are_named_as_can_be_read()
    {
        // Q is missing from every face here, letters from U+3000 on stand in.
        var missing = string.Concat(Enumerable.Range(0, 20).Select(n => (char)(0x2460 + n)));
        missing.Length.ShouldBe(20);
        var look = Look(Sample.Job(Sample.Text("w", "words")), "w", (d, _) => d with
        {
            Layout = d.Layout! with
            {
                Missing = [.. missing.EnumerateRunes()],
                Instead = [.. missing.EnumerateRunes().Select(r => (r, PlainType.Face))],
            },
        });
        new TextGlyphs().Check(look).Select(f => f.Measured.Split(' ').Length).ShouldBe([12, 24]);
    }

    [Theory]
    [InlineData(24, false)]
    [InlineData(23, true)]
    public void A_blurb_is_told_from_every_other_by_its_beginning(int letters, bool found)
    {
        const string blurb = "abcdefghijklmnopqrstuvwxyzabcdefghijklmnopqrstuvwxyz";
        var job = Sample.Job(Sample.Text("w", blurb[..letters], panel: Part.Back));
        job = job with { Ticket = job.Ticket with { Blurb = blurb } };
        Sample.Check(job).Any(f => f is { Id: "text.missing", Measured: "no blurb on the cover" }).ShouldBe(found);
    }

    /// <summary>Two lines that end in a hyphen may follow each other.</summary>
    [Theory]
    [InlineData(2, false)]
    [InlineData(3, true)]
    public void Three_hyphens_in_a_row_catch_the_eye(int lines, bool found)
    {
        var look = Look(Sample.Job(Sample.Text("w", "words")), "w", (d, _) => d with
        {
            Layout = d.Layout! with { Lines = [.. Enumerable.Repeat(d.Layout.Lines[0] with { Hyphenated = true },
                lines)] },
        });
        new TextTypography().Check(look).Any(f => f.Measured == "three hyphens in a row").ShouldBe(found);
    }

    /// <summary>A colour that ends on a fold is seen to where it is long, level or upright, and truly on it.</summary>
    [Theory]
    [InlineData(10.5, 0, 0, true)]
    [InlineData(9.9, 0, 0, false)]
    [InlineData(20, 0.09, 0, true)]
    [InlineData(20, 0.12, 0, false)]
    [InlineData(20, 0, 90, true)]
    [InlineData(20, 0, 117, false)]
    public void A_colour_that_ends_on_a_fold_is_told(decimal high, decimal off, int turned, bool found)
    {
        var look = Look(Sample.Job(new RectItem
        {
            Id = "r",
            Hold = new(Part.Front, HoldBox.Safe, Anchor.Middle, default, default),
            Width = new(Mm(30)),
            Height = new(Mm(30)),
            Fill = new Fill(new InkPaint(Ink.Black)),
            Turned = turned,
        }), "r", (d, l) => d with
        {
            Frame = Bounded(new(l.Sheet.Folds[1] + Mm(off), l.Sheet.Trim.Y + Mm(60), Mm(30), Mm(high))),
        });
        new ZoneDrift().Check(look).Any(f => f.Item == "r").ShouldBe(found);
    }

    private static PictureItem Frame(decimal inches) => new()
    {
        Id = "p",
        Hold = new(Part.Front, HoldBox.Face, Anchor.TopLeft, Length.FromInches(1), Length.FromInches(1)),
        Width = new(Length.FromInches(inches)),
        Height = new(Length.FromInches(inches)),
        Picture = new(new string('a', 64), "road.jpg", 600, 600, true),
    };

    /// <summary>A frame that is too large for its picture is drawn in about its middle.</summary>
    [Fact]
    public void A_picture_with_too_few_pixels_is_drawn_in_about_its_middle()
    {
        var job = Sample.Job(Frame(4));
        var frame = Sample.Scene(job).Item("p")!.Frame.ToBox();
        var found = Sample.Check(job).Single(f => f is { Id: "picture.resolution", Item: "p" });
        var lay = (LayItem)found.Fix!;
        (lay.MiddleX, lay.MiddleY).ShouldBe((frame.X + (0.5m * frame.Width), frame.Y + (0.5m * frame.Height)));
        found.Measured.ShouldBe("150 pixels an inch");
    }

    /// <summary>What lies over something hides it where it is level or upright.</summary>
    [Theory]
    [InlineData(0, true)]
    [InlineData(90, true)]
    [InlineData(45, false)]
    public void What_is_turned_off_the_level_hides_nothing_whole(int turned, bool found)
    {
        var over = new RectItem
        {
            Id = "over",
            Hold = new(Part.Front, HoldBox.Safe, Anchor.Middle, default, default),
            Width = new(Length.FromInches(4)),
            Height = new(Length.FromInches(4)),
            Fill = new Fill(new InkPaint(Ink.Black)),
            Turned = turned,
        };
        Sample.Check(Sample.Job(Sample.Text("w", "word", wide: 1), over)).Any(f => f.Id == ItemLost.Named
            && f.Item == "w").ShouldBe(found);
    }

    [Fact]
    public void Sizes_are_named_as_far_as_they_can_be_read()
    {
        var trims = Enumerable.Range(1, 6).Select(n => new NamedTrim(Size.FromMillimetres(100 + n, 200), $"t{n}"));
        var job = new SetHouse(Tern with { Trims = [.. trims], TrimLeast = Size.FromMillimetres(90, 90) })
            .Apply(Sample.Job());
        Sample.Check(job).Single(f => f.Id == "ticket.trim").Limit.Split(", ").Length.ShouldBe(4);
    }

    /// <summary>A border at the cut, and a line near a fold, are held to the house's figure but for rounding.</summary>
    [Theory]
    [InlineData(2.995, false)]
    [InlineData(2.98, true)]
    public void A_border_at_the_cut_is_wide_enough(decimal mm, bool found) =>
        Sample.Check(new SetHouse(Tern with { EdgeRule = Mm(3) }).Apply(Sample.Job(new FrameItem
        {
            Id = "f",
            Hold = new(Part.Front, HoldBox.Edge, Anchor.Middle, default, default),
            Width = Span.Full,
            Height = Span.Full,
            Thickness = Mm(mm),
            Fill = new Fill(new InkPaint(Ink.Black)),
        }))).Any(f => f is { Id: "zone.edge", Item: "f" }).ShouldBe(found);

    /// <summary>A rule runs along its middle, whichever way it lies.</summary>
    [Theory]
    [InlineData(0, 2.9, true)]
    [InlineData(0, 3.1, false)]
    [InlineData(90, 2.9, true)]
    public void A_rule_runs_along_its_middle(int turned, decimal from, bool found)
    {
        var job = new SetHouse(Tern with { EdgeRule = Mm(3) }).Apply(Sample.Job(new RectItem
        {
            Id = "r",
            Hold = new(Part.Front, HoldBox.Safe, Anchor.Middle, default, default),
            Width = new(Mm(40)),
            Height = new(Mm(1)),
            Fill = new Fill(new InkPaint(Ink.Black)),
            Turned = turned,
        }));
        var look = Look(job, "r", (d, l) => d with
        {
            Frame = turned == 0
                ? Bounded(new(l.Sheet.Trim.X + Mm(60), l.Sheet.Trim.Y + Mm(from) - Mm(0.5m), Mm(40), Mm(1)))
                : Bounded(new(l.Sheet.Trim.X + Mm(from) - Mm(0.5m), l.Sheet.Trim.Y + Mm(60), Mm(1), Mm(40))),
        });
        var all = new ZoneEdge().Check(look).Where(f => f.Item == "r").ToList();
        (all.Count > 0).ShouldBe(found);
        if (found) all[0].Measured.ShouldBe($"{Mm(from).Show(Unit.Inch)} from it");
    }
}
