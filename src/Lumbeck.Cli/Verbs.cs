using System.CommandLine;

namespace Lumbeck.Cli;

/// <summary>The verbs, and what is said where they are not understood.</summary>
internal static class Verbs
{
    /// <returns>
    /// 0 where it was done; what a verb says it ends with; 2 where it was not understood or can't be done.
    /// </returns>
    public static async Task<int> Run(string[] args)
    {
        var root = new RootCommand("Lays out and presses full-wrap print covers.")
        {
            WrapVerbs.Wrap(),
            WrapVerbs.Explain(),
            WrapVerbs.Template(),
            JobVerbs.Jobs(),
            TicketVerbs.Ticket(),
            JobVerbs.Check(),
            JobVerbs.Press(),
            OrderVerbs.Work(),
            InsideVerbs.Inside(),
            JobVerbs.Intake(),
            MendVerbs.Mend(),
            JobVerbs.Pack(),
            JobVerbs.Unpack(),
            ArtVerbs.Art(),
            PuzzleVerbs.Puzzle(),
            LiveryVerbs.Liveries(),
            LiveryVerbs.Livery(),
            StarterVerbs.Starter(),
        };
        var parsed = root.Parse(args);
        if (parsed.Errors.Count > 0)
        {
            var verbs = string.Join(", ", root.Subcommands.Select(c => c.Name));
            await Console.Error.WriteLineAsync(Say.Sentence(parsed.CommandResult.Command == root
                ? $"{(args.Length == 0 ? "a verb is missing" : $"`{LengthText.Clip(args[0])}` is no verb")}: take " +
                    $"{verbs}"
                : parsed.Errors[0].Message));
            return 2;
        }
        try
        {
            return await parsed.InvokeAsync(new InvocationConfiguration { EnableDefaultExceptionHandler = false });
        }
        // Left by its caller, who knows.
        catch (OperationCanceledException) { return 130; }
        catch (Refusal refusal)
        {
            await Console.Error.WriteLineAsync(Say.Sentence(refusal.Path == "job"
                ? $"{refusal.Message}: `lumbeck jobs` lists them" : refusal.Message));
            return 2;
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException or Store.DamagedState)
        {
            await Console.Error.WriteLineAsync(Say.Sentence(e.Message));
            return 2;
        }
        catch (Microsoft.Data.Sqlite.SqliteException e)
        {
            await Console.Error.WriteLineAsync(Store.DataFolder.Means(e));
            return 2;
        }
    }
}
