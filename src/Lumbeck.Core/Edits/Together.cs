namespace Lumbeck.Core.Edits;

/// <summary>Several edits as one: all of them are made, in this order, or none.</summary>
/// <param name="Edits">What is done.</param>
/// <param name="Did">The same in words, for a list of steps.</param>
public sealed record Together(ImmutableList<Edit> Edits, string Did) : Edit
{
    public override string Says(Job before) => Did;
    protected override Job On(Job job) => Edits.Aggregate(job, (j, e) => e.Apply(j));

    /// <summary>Edits that are each read for the job as those before it leave it.</summary>
    /// <exception cref="Refusal">One can’t be made; the fact is named.</exception>
    public static Together Of(Job job, IEnumerable<Func<Job, Edit>> edits, Func<int, string> did)
    {
        var (at, made) = (job, ImmutableList.CreateBuilder<Edit>());
        foreach (var edit in edits)
        {
            made.Add(edit(at));
            at = made[^1].Apply(at);
        }
        return new(made.ToImmutable(), made.Count == 1 ? made[0].Says(job) : did(made.Count));
    }
}

/// <summary>An edit of several items at once, by what it does to each of them.</summary>
public abstract record ItemsEdit(ImmutableArray<string> Items) : Edit
{
    protected abstract string Does { get; }
    protected abstract IEnumerable<Edit> Each(Job job);

    /// <summary>The fewest items it makes sense for.</summary>
    protected virtual int Least => 2;

    public override string Says(Job before) => $"{Does} {Many.Items(Items.Length)}";

    protected override Job On(Job job)
    {
        if (Items.Length < Least)
            throw new Refusal("items", $"pick {(Least == 2 ? "two" : "three")} items or more to {Does}");
        foreach (var id in Items) if (job.Item(id) is null) throw Job.Gone(id);
        return Each(job).Aggregate(job, (j, e) => e.Apply(j));
    }
}

/// <summary>Numbers of things as sentences have them.</summary>
public static class Many
{
    public static string Items(int count) => Of(count, "item");

    /// <summary>“1 page”, “12 pages”.</summary>
    public static string Of(int count, string what) =>
        count == 1 ? $"1 {what}" : $"{count.ToString(CultureInfo.InvariantCulture)} {what}s";
}
