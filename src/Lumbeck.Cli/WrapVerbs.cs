using System.CommandLine;

namespace Lumbeck.Cli;

/// <summary>
/// <c>lumbeck wrap</c> and <c>explain</c>: a book's facts in, its sheet out, without a job or a store.
/// </summary>
internal static partial class WrapVerbs
{
    private static readonly Option<string> House =
        new("--house")
        {
            Description = "a shipped printer's name, or a house file",
            Required = true
        };
    private static readonly Option<string> BindingOption = new("--binding")
    {
        Description = "how the book is bound",
        Required = true
    };
    private static readonly Option<string> Trim = new("--trim")
    {
        Description = "trim size, such as 5.25x8in",
        Required = true
    };
    private static readonly Option<string> Pages = new("--pages")
    {
        Description = "pages of the inside",
        Required = true
    };
    private static readonly Option<string> Stock = new("--stock") { Description = "one of the printer's papers" };
    private static readonly Option<string> Leaf =
        new("--leaf") { Description = "thickness of a leaf, such as 0.135mm" };
    private static readonly Option<string> Page =
        new("--page-thickness") { Description = "thickness of a page, such as 0.0027in" };
    private static readonly Option<string> Ppi = new("--ppi") { Description = "pages per inch" };
    private static readonly Option<string> Gsm = new("--gsm") { Description = "grammage in g/m²" };
    private static readonly Option<string> Bulk = new("--bulk") { Description = "bulk in cm³/g" };
    private static readonly Option<string> Direction = new("--direction")
    {
        Description = "ltr or rtl",
        DefaultValueFactory = _ => "ltr"
    };
    private static readonly Option<string> Flaps = new("--flaps") { Description = "flaps of this width" };
    private static readonly Option<string> Spine = new("--spine") { Description = "the printer's own spine" };
    private static readonly Option<string> Back = new("--back")
    {
        Description = "flat or round, of a case",
        DefaultValueFactory = _ => "flat"
    };
    private static readonly Option<string> PlatePages =
        new("--plates") { Description = "pages of a plate section, counted within --pages" };
    private static readonly Option<string> PlateLeaf =
        new("--plates-leaf") { Description = "thickness of a leaf of the plate section" };
    private static readonly Option<string> Dummy = new("--dummy") { Description = "the block as measured on a dummy" };
    private static readonly Option<string> Endpapers =
        new("--endpapers") { Description = "what endpapers add to a case's block" };
    private static readonly Option<bool> AsJson = new("--json") { Description = "as JSON" };

    private static readonly Option<string> Given =
        new("--given")
        {
            Description = "the full size the printer states, such as 11.58x8.25in",
            Required = true
        };

    private static readonly Option<string> Kind = new("--kind") { Description = "pdf, svg or png", Required = true };
    private static readonly Option<string> Out = new("--out") { Description = "the file to write", Required = true };
    private static readonly Option<string> PanelOption =
        new("--panel") { Description = "one panel alone: front, back, spine …" };

    private static Command Verb(string name, string says, params Option[] more)
    {
        var c = new Command(name, says);
        foreach (var o in (Option[])[House, BindingOption, Trim, Pages, Stock, Leaf, Page, Ppi, Gsm, Bulk, Direction,
            Flaps, Spine, Back, PlatePages, PlateLeaf, Dummy, Endpapers, .. more])
            c.Add(o);
        return c;
    }

    public static Command Template()
    {
        var c = Verb("template", "Writes the blank sheet with its zones.", Kind, Out, PanelOption);
        c.SetAction(p =>
        {
            var g = Geometry(p);
            if (!Blank.Kinds.Contains(p.GetValue(Kind)!))
                throw No(Kind, $"`{LengthText.Clip(p.GetValue(Kind)!)}` is no kind of template: take {string.Join(", ", Blank.Kinds)}");
            var part = Part.Sheet;
            if (p.GetValue(PanelOption) is { } word && !Parts.TryParse(word, out part))
                throw No(PanelOption,
                    $"`{LengthText.Clip(word)}` is no panel: take " +
                        $"{string.Join(", ", g.Sheets.SelectMany(s => s.Panels).Select(x => x.Part.Word()))}");
            var sheet = g.Sheets.FirstOrDefault(s => s.Panel(part) is not null) ?? g.Sheet;
            var file = Say.Target(p.GetValue(Out)!);
            Say.Written(file, s => Blank.Write(s, p.GetValue(Kind)!, g, sheet, part, "", new Press.Faces.FaceShelf()));
            Console.WriteLine($"{file}: {(part == Part.Sheet ? sheet.Size : sheet.Panel(part)!.Edge.Size).Show(g.House.Unit)}" +
                $"{(g.Spine.Working.Length > 0 ? $", spine {g.Spine.Width.Show(g.House.Unit)}" : "")}.");
            return 0;
        });
        return c;
    }

    public static Command Wrap()
    {
        var c = Verb("wrap", "Computes a cover's sheet.", AsJson);
        c.SetAction(p =>
        {
            var g = Geometry(p);
            if (p.GetValue(AsJson)) Say.Json(Json(g));
            else
            {
                Console.WriteLine($"sheet   {g.Sheet.Size.Show(Unit.Millimetre)} = {g.Sheet.Size.Show(Unit.Inch)}");
                foreach (var sum in g.Sums(g.House.Unit)) Console.WriteLine($"{sum.Name,-7} {sum.Text}");
            }
            return 0;
        });
        return c;
    }

    public static Command Explain()
    {
        var c = Verb("explain", "Says what a printer's figures imply, and why they differ.", Given, AsJson);
        c.SetAction(p =>
        {
            var g = Geometry(p);
            var typed = p.GetValue(Given)!;
            if (!LengthText.TryParseSize(typed, g.House.Unit, out var given, out var why)) throw No(Given, why);
            var e = Explanation.Of(g.Book, g.House, given, LengthText.Slack(typed, g.House.Unit));
            if (p.GetValue(AsJson))
                Say.Json(new
                {
                    computed_mm = Say.Mm(e.Computed),
                    given_mm = Say.Mm(e.Given),
                    e.Agrees,
                    implied = new
                    {
                        spine_mm = e.Implied.Spine is { } s ? Say.Mm(s) : (decimal?)null,
                        leaf_mm = e.Implied.Leaf is { } l ? Math.Round(l.Millimetres, 6) : (decimal?)null,
                        bleed_mm = e.Implied.Bleed is { } b ? Say.Mm(b) : (decimal?)null,
                    },
                    causes = e.Causes.Select(x => new { x.Id, x.Text, x.Sum }),
                });
            else if (e.Agrees) Console.WriteLine($"{given.Show(g.House.Unit)} agrees with the computed " +
                $"{e.Computed.Show(g.House.Unit)}.");
            else
            {
                Console.WriteLine($"{given.Show(g.House.Unit)} is not the computed {e.Computed.Show(g.House.Unit)}" +
                    $"{(e.Implied.Spine is { } s ? $"; it implies a spine of {s.Show(g.House.Unit)}" : "")}.");
                foreach (var x in e.Causes) Console.WriteLine($"{x.Id,-18} {x.Text}: {x.Sum}");
                if (e.Causes.Count == 0)
                    Console.WriteLine("No usual slip explains it: compare trim, bleed and paper with the printer's.");
            }
            return 0;
        });
        return c;
    }

    private static WrapGeometry Geometry(ParseResult p)
    {
        var house = HouseOf(p.GetValue(House)!);
        string? given(Option<string> o) => p.GetValue(o) is { Length: > 0 } s ? s : null;
        Length LengthOf(Option<string> o, string text, Unit bare) =>
            LengthText.TryParse(text, bare, out var l, out var why) ? l : throw No(o, why);

        if (!LengthText.TryParseSize(p.GetValue(Trim)!, house.Unit, out var trim, out var whyTrim))
            throw No(Trim, whyTrim);
        if (!int.TryParse(p.GetValue(Pages), out var pages))
            throw No(Pages, $"`{LengthText.Clip(p.GetValue(Pages)!)}` is no whole number: try `312`");
        (string Word,
            BindingKind Value) kind = BindingKinds.Words.FirstOrDefault(w => w.Word == p.GetValue(BindingOption),
            ("", default));
        if (kind.Word.Length == 0)
            throw No(BindingOption,
                $"`{LengthText.Clip(p.GetValue(BindingOption)!)}` is no binding: take " +
                    $"{string.Join(", ", BindingKinds.Words.Select(w => w.Word))}");
        var reading = p.GetValue(Direction) switch
        {
            "ltr" => Reading.LeftToRight,
            "rtl" => Reading.RightToLeft,
            var d => throw No(Direction, $"`{d}` is no reading direction: take ltr or rtl"),
        };
        var flaps = given(Flaps) is { } f ? LengthOf(Flaps, f, house.Unit) : (Length?)null;
        var pinned = given(Spine) is { } s ? LengthOf(Spine, s, house.Unit) : (Length?)null;

        var round = p.GetValue(Back) switch
        {
            "flat" => false,
            "round" => true,
            var b => throw No(Back, $"`{LengthText.Clip(b!)}` is no back: take flat or round"),
        };
        Plates? plates = given(PlatePages) is { } count
            ? new(int.TryParse(count, out var n) ? n : throw No(PlatePages,
                $"`{LengthText.Clip(count)}` is no whole number: try `16`"),
                given(PlateLeaf) is { } plateLeaf
                    ? new("", Caliper.FromLength(LengthOf(PlateLeaf, plateLeaf, Unit.Millimetre)))
                    : throw No(PlateLeaf, "say how thick a leaf of the plate section is, such as 0.119mm"))
            : null;
        var book = new BookFacts(kind.Value, reading, trim, pages, PaperOf(p, house, given), flaps is not null, flaps,
            pinned, round)
        {
            Plates = plates,
            Dummy = given(Dummy) is { } measured ? LengthOf(Dummy, measured, house.Unit) : null,
            Endpapers = given(Endpapers) is { } added ? LengthOf(Endpapers, added, house.Unit) : null,
        };
        // What can be computed is; that this house would not make it is said before.
        if (!house.Binds(kind.Value))
            Console.Error.WriteLine($"{house.Name} binds no {kind.Value.Word()}, only " +
                $"{string.Join(" and ", house.Bindings.Select(b => b.Word()))}.");
        var geometry = Named(() => WrapGeometry.Of(book, house));
        if (!house.Cuts(trim))
            Console.Error.WriteLine($"{house.Name} cuts trims from " +
                $"{house.TrimLeast.Show(house.Unit)} to {house.TrimMost.Show(house.Unit)}, not {trim.Show(house.Unit)}" +
                $"{(house.Cuts(new(trim.Height, trim.Width)) ? ": width and height may be swapped" : "")}.");
        if (geometry.Spine.Pages < geometry.FewestPages || geometry.Spine.Pages > geometry.MostPages)
            Console.Error.WriteLine($"{house.Name} binds {geometry.FewestPages} to {geometry.MostPages} pages so, " +
                $"not {geometry.Spine.Pages}.");
        return geometry;
    }

    /// <summary>What a fact of a ticket is called on the command line.</summary>
    private static WrapGeometry Named(Func<WrapGeometry> make) => Attempt.Telling(r => r.Path switch
    {
        "ticket/pages" => No(Pages, r.Message),
        "ticket/trim" => No(Trim, r.Message),
        "ticket/paper" => No(Leaf, r.Message),
        "ticket/flaps" => No(Flaps, r.Message),
        "ticket/pinned" => No(Spine, r.Message),
        "ticket/dummy" => No(Dummy, r.Message),
        "ticket/endpapers" => No(Endpapers, r.Message),
        "ticket/plates" => No(PlatePages, r.Message),
        "ticket/plates-paper" => No(PlateLeaf, r.Message),
        _ => r,
    }, make);

    private static Paper PaperOf(ParseResult p, House house, Func<Option<string>, string?> given)
    {
        decimal Number(Option<string> o, string text) =>
            LengthText.Number(text) is { } n and > 0 and < 100_000
                ? n
                : throw No(o, $"`{LengthText.Clip(text)}` is no figure above 0");
        Caliper Thick(Option<string> o, string text) =>
            LengthText.TryParse(text, Unit.Millimetre, out var l, out var why)
                ? Caliper.FromLength(l)
                : throw No(o, why);
        if (given(Stock) is { } name)
            return house.Papers.FirstOrDefault(x => x.Name.Equals(name, StringComparison.OrdinalIgnoreCase))
                ?? throw No(Stock,
                    $"{house.Name} has no paper `{LengthText.Clip(name)}`: pick {string.Join(", ", house.Papers.Select(x => x.Name))}");
        Paper of(Option<string> o, Func<Paper, Paper> make) => Attempt.Telling(
            r => r.Path.Length == 0 ? No(o, r.Message) : r, () => make(new("", Caliper.Zero)) with { Name = "" });
        if (given(Leaf) is { } leaf) return of(Leaf, x => x.Thick(Thick(Leaf, leaf)));
        if (given(Page) is { } page) return of(Page, x => x.Thick(Caliper.FromPageThickness(Thick(Page, page))));
        if (given(Ppi) is { } ppi) return of(Ppi, x => x.Thick(Caliper.FromPagesPerInch(Number(Ppi, ppi))));
        if (given(Gsm) is { } gsm && given(Bulk) is { } bulk)
            return of(Bulk, x => of(Gsm, y => y.Weighing(Number(Gsm, gsm))).Bulking(Number(Bulk, bulk)));
        throw new Refusal("stock",
            "the paper is missing: give --stock, --leaf, --page-thickness, --ppi, or --gsm with --bulk");
    }

    internal static House HouseOf(string text)
    {
        if (HouseFile.Shipped.TryGetValue(text, out var shipped)) return shipped;
        if (HouseFile.Shipped.Values.FirstOrDefault(h =>
            h.Name.Equals(text, StringComparison.OrdinalIgnoreCase)) is { } named)
            return named;
        if (!text.EndsWith(".json", StringComparison.OrdinalIgnoreCase))
            throw No(House,
                $"no printer is called `{LengthText.Clip(text)}`: take {string.Join(", ", HouseFile.Shipped.Keys)}, or " +
                    $"a house file ending in .json");
        if (!File.Exists(text)) throw No(House, $"there is no file `{LengthText.Clip(text)}`");
        if (new FileInfo(text).Length > 1_000_000) throw No(House, "a house file is under 1 MB");
        return HouseFile.Read(File.ReadAllText(text));
    }

    private static Refusal No(Option option, string why) => new(option.Name, $"{option.Name}: {why}");
}
