using System.Net;

namespace Lumbeck.Web.Tests;

/// <summary>A server that is ended in the midst of its work.</summary>
public sealed class KilledTests(OneServer one) : IClassFixture<OneServer>
{
    [Fact]
    public async Task Nothing_that_was_answered_is_lost_to_kill_9()
    {
        using var tab = await one.Server.Tab("/jobs/tidewatcher/wrap");
        var answered = 0;
        // Edits go out without a pause while the process is killed under them.
        var editing = Task.Run(async () =>
        {
            for (var n = 1; n <= 5000; n++)
            {
                using var answer = await ServerTests.Edit(tab, "ticket/pages",
                    (100 + (2 * n)).ToString(CultureInfo.InvariantCulture));
                answer.StatusCode.ShouldBe(HttpStatusCode.OK);
                answered = n;
            }
        });
        SpinWait.SpinUntil(() => Volatile.Read(ref answered) >= 60, TimeSpan.FromMinutes(3)).ShouldBeTrue();
        one.Server.Kill();
        await Should.ThrowAsync<Exception>(() => editing);

        one.Again();
        using var after = await one.Server.Tab("/jobs/tidewatcher/wrap");
        var store = new Lumbeck.Desk.AppServices(DemoData.In(one.Data), TimeProvider.System, DemoBench.Load);
        var kept = (store.Jobs.Job("tidewatcher").Job.Ticket.Pages - 100) / 2;
        // The last answered edit is there; one more may have been written before it could be answered.
        kept.ShouldBeOneOf(answered, answered + 1);
        (await ServerTests.Edit(after, "ticket/pages", "312")).StatusCode.ShouldBe(HttpStatusCode.OK);
        // A tab that was open all the while goes on: its token is still good.
        (await tab.PostAsync(new Uri(one.Server.Address, "/jobs/tidewatcher/edit"), ServerTests.Wire("ticket/pages", "314")))
            .StatusCode
            .ShouldBe(HttpStatusCode.OK);
    }
}
