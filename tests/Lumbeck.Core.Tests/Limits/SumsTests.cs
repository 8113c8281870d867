using System.Text;

namespace Lumbeck.Core.Tests.Limits;

/// <summary>
/// Every sum that a ticket shows, for books of all bindings at all printers, as sums.txt has it: the vectors hold the
/// arithmetic, this the words and figures that people read.
/// </summary>
public sealed class SumsTests
{
    private static Length Mm(decimal mm) => Length.FromMillimetres(mm);

    private static IEnumerable<(string Name, BookFacts Book, House House)> Books()
    {
        foreach (var house in HouseFile.Shipped.Values.OrderBy(h => h.Id, StringComparer.Ordinal))
            foreach (var binding in Enum.GetValues<BindingKind>().Where(house.Binds))
            {
                var paper = house.Papers[0];
                var book = new BookFacts(binding, Reading.LeftToRight, Size.FromMillimetres(148, 210),
                    binding == BindingKind.Booklet ? 32 : 242, paper);
                yield return ($"{house.Id} {binding}", book, house);
                yield return ($"{house.Id} {binding}, plates, round, right to left", book with
                {
                    Plates = binding == BindingKind.Booklet ? null : new Plates(16, paper.Thick(Caliper
                        .FromMillimetres(0.12m)) with { Grammage = 130 }),
                    RoundBack = true,
                    Reading = Reading.RightToLeft,
                    Endpapers = binding is BindingKind.Case or BindingKind.Jacket ? Mm(0.5m) : null,
                }, house with { CoverGrammage = 300, BoardGrammage = 1600, CoverAllowance = Mm(0.4m),
                    CaseBleed = Mm(2) });
            }
    }

    [Fact]
    public void Every_sum_of_a_ticket_is_as_it_is_written_down()
    {
        var all = new StringBuilder();
        foreach (var (name, book, house) in Books())
        {
            all.Append("== ").Append(name).Append('\n');
            var (wrap, no) = Attempt.Of(() => WrapGeometry.Of(book, house));
            if (wrap is null) { all.Append(no!.Path).Append(": ").Append(no.Message).Append('\n'); continue; }
            foreach (var sum in wrap.Sums(house.Unit))
                all.Append(CultureInfo.InvariantCulture, $"{sum.Label}: {sum.Figure}; {sum.Text}\n");
            all.Append(CultureInfo.InvariantCulture,
                $"{wrap.WeightGrams?.ToString("0.###", CultureInfo.InvariantCulture)} g\n");
            foreach (var sheet in wrap.Sheets)
            {
                foreach (var panel in sheet.Panels) all.Append(CultureInfo.InvariantCulture,
                    $"{panel.Part} {Said(panel.Face)}, safe {Said(panel.Safe)}\n");
                foreach (var zone in sheet.Zones) all.Append(CultureInfo.InvariantCulture,
                    $"{zone.Kind} {Said(zone.Box)}\n");
                foreach (var fold in sheet.FoldsAcross) all.Append(CultureInfo.InvariantCulture, $"across {fold}\n");
            }
        }
        Manual.Is("tests/Lumbeck.Core.Tests/Limits/sums.txt", all.ToString());
    }

    private static string Said(Box box) => $"{box.X} {box.Y} {box.Width} × {box.Height}";

    private static readonly House Tern = HouseFile.Shipped["tern"];

    private static BookFacts Book => new(BindingKind.Paperback, Reading.LeftToRight, Size.FromMillimetres(148, 210),
        240, Tern.Papers[0]);

    private static bool Stands(BookFacts book, House? house = null) => Attempt.Of(() => WrapGeometry.Of(book,
        house ?? Tern with
    {
        SheetMost = Size.FromMillimetres(9000, 9000),
    })).Made is not null;

    /// <summary>What a ticket can say at all: beyond it the figure is a slip, and the unit is asked about.</summary>
    [Fact]
    public void A_ticket_s_figures_lie_between_what_can_be()
    {
        Stands(Book with { Trim = Size.FromMillimetres(20, 20) }).ShouldBeTrue();
        Stands(Book with { Trim = Size.FromMillimetres(19.9m, 200) }).ShouldBeFalse();
        Stands(Book with { Trim = Size.FromMillimetres(1200, 1200) }).ShouldBeTrue();
        Stands(Book with { Trim = Size.FromMillimetres(1200.1m, 200) }).ShouldBeFalse();
        Stands(Book with { PinnedSpine = Mm(300) }).ShouldBeTrue();
        Stands(Book with { PinnedSpine = Mm(300.1m) }).ShouldBeFalse();
        Stands(Book with { Dummy = Mm(0.1m) }).ShouldBeTrue();
        Stands(Book with { Dummy = Mm(0.09m) }).ShouldBeFalse();
        Stands(Book with { Dummy = Mm(300) }).ShouldBeTrue();
        Stands(Book with { Dummy = Mm(300.1m) }).ShouldBeFalse();
        Stands(Book with { Endpapers = Mm(10) }).ShouldBeTrue();
        Stands(Book with { Endpapers = Mm(10.1m) }).ShouldBeFalse();
        Stands(Book with { Plates = new(2, Tern.Papers[1]) }).ShouldBeTrue();
        Stands(Book with { Plates = new(3, Tern.Papers[1]) }).ShouldBeFalse();
        Stands(Book with { Plates = new(1, Tern.Papers[1]) }).ShouldBeFalse();
        Should.Throw<Refusal>(() => WrapGeometry.Of(Book with { Dummy = Mm(0.09m) }, Tern)).Message
            .ShouldContain($"from {Mm(0.1m).Show(Unit.Inch)} to {Mm(300).Show(Unit.Inch)}");
        Should.Throw<Refusal>(() => WrapGeometry.Of(Book with { Endpapers = Mm(11) }, Tern)).Message
            .ShouldContain($"from 0 to {Mm(10).Show(Unit.Inch)}");
    }

    /// <summary>A jacket's flap leaves 20 mm of the panel behind it.</summary>
    [Fact]
    public void A_jacket_s_flap_leaves_some_of_its_panel()
    {
        var house = HouseFile.Shipped.Values.First(h => h.Binds(BindingKind.Jacket)) with { SheetMost = Size
            .FromMillimetres(9000, 9000) };
        var book = new BookFacts(BindingKind.Jacket, Reading.LeftToRight, Size.FromMillimetres(148, 210), 240,
            house.Papers[0]);
        var panel = WrapGeometry.Of(book, house).Sheet.Panel(Part.Front)!.Face.Width;
        // The ticket's own limit is the trim's width.
        var most = Length.Min(panel - Mm(20), book.Trim.Width);
        most.ShouldBe(panel - Mm(20));
        Stands(book with { FlapWidth = most }, house).ShouldBeTrue();
        Stands(book with { FlapWidth = most + Mm(0.1m) }, house).ShouldBeFalse();
    }

    /// <summary>A ticket's paper that is 5 % thinner or thicker, to six places of a micrometre.</summary>
    [Fact]
    public void A_paper_of_another_bulk_keeps_six_places()
    {
        var book = Book with { Paper = Tern.Papers[0].Thick(Caliper.FromMicrometres(133.3333337m)) };
        book.WithBulk(1.0000001m).Paper.Leaf.Micrometres.ShouldBe(133.333347m);
    }
}
