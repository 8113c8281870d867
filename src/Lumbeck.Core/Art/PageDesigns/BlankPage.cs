namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>Nothing: a page that is meant to be empty.</summary>
public sealed record BlankPage : PageDesign
{
    public override string Kind => "blank";
    protected override ImmutableArray<string> OwnSlots => default;
    public override bool TakesHeading => false;
    public override bool IsDisplay => true;

    protected override string Sum(Surface page, Unit unit) =>
        $"{page.Safe.Size.Show(unit)} within the margins, left empty";

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at) => [];
}
