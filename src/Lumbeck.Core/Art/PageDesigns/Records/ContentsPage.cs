namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>What the book holds: its runs by their names, each with the folio that it begins on.</summary>
public sealed record ContentsPage : ListPage
{
    public ContentsPage() => Pitch = Length.FromMillimetres(9);

    public override string Kind => "contents";

    protected override ImmutableArray<PageEntry> Entries(PageFacts at) => at.Contents;
}
