namespace Lumbeck.Core.Checks.OfPages;

/// <summary>What a rule of pages looks at.</summary>
/// <param name="Scene">The page as it is drawn.</param>
/// <param name="Number">Its number, from 1.</param>
/// <param name="House">The house that prints it.</param>
/// <param name="Unit">The job's.</param>
public sealed record PageLook(Scene Scene, int Number, House House, Unit Unit)
{
    public Surface Page => Scene.Surface;
}

/// <summary>
/// One thing that Check looks for on a page of an inside. A rule is added by a file of its own and its line here.
/// </summary>
public abstract class PageRule
{
    public static ImmutableArray<PageRule> All { get; } = [new PageMargin(), new PageLine()];

    /// <summary>The rule's id, such as <c>page.margin</c>.</summary>
    public abstract string Id { get; }

    /// <summary>What is so when it finds nothing, in words.</summary>
    public abstract string Proves { get; }

    public abstract IEnumerable<Finding> Find(PageLook look);

    /// <summary>All that is found on a page, stops first.</summary>
    public static ImmutableArray<Finding> Check(PageLook look) =>
        [.. All.SelectMany(r => r.Find(look)).OrderBy(f => f.Severity)];

    protected Finding Found(PageLook look, Severity severity, string measured, string limit, string why, string mend,
        Box place)
    {
        var ours = look.House.Severities.TryGetValue(Id, out var said);
        return new(Id, ours ? said : severity, look.House.Name, null, Part.Page, measured, limit, place, why,
            mend)
        { Sheet = look.Number };
    }
}
