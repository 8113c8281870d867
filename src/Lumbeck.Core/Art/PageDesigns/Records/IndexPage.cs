namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>
/// What is found where, by the alphabet: the pages that were made of a table’s rows, by their headings. What is left of
/// it is ruled, for those who write their own.
/// </summary>
public sealed record IndexPage : ListPage
{
    public IndexPage() => Pitch = Length.FromMillimetres(7);

    public override string Kind => "index";

    protected override ImmutableArray<PageEntry> Entries(PageFacts at) => at.Index;

    protected override bool Ruled => true;
}
