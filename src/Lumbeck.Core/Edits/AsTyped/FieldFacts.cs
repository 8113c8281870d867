namespace Lumbeck.Core.Edits.AsTyped;

/// <summary>The facts that an item's own fields are.</summary>
internal static class FieldFacts
{
    public static IEnumerable<Fact> Of(Item item) => item.Fields.Select(field => new Fact(
        $"item/{item.Id}/{field.Key}",
        field.Label,
        job => field.Show(job.Item(item.Id)!, Terms(job)),
        (job, text) => new SetField(item.Id, field.Key, field.Read(text, Terms(job))))
    {
        Choices = _ => field.Choices,
        TakesColour = field.TakesPaint,
    });

    /// <summary>What a job says in.</summary>
    public static FieldTerms Terms(Job job) => new(job.Ticket.Unit, job.Swatches, job.Ticket.House.FinishingInks);
}
