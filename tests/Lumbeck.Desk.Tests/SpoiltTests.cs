using Microsoft.Data.Sqlite;

namespace Lumbeck.Desk.Tests;

/// <summary>What is spoilt says so in its own place, and the rest goes on; and several programs on one store see what the others brought.</summary>
public sealed class SpoiltTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;

    public void Dispose() => Directory.Delete(_folder, recursive: true);

    private static byte[] Face() => File.ReadAllBytes(Path.Combine(AppContext.BaseDirectory, "faces", "zilla-slab", "600.ttf"));

    private void Sql(string sql)
    {
        using var c = new SqliteConnection($"Data Source={Path.Combine(_folder, "lumbeck.db")};Pooling=False");
        c.Open();
        using var command = c.CreateCommand();
        command.CommandText = sql;
        command.ExecuteNonQuery().ShouldBeGreaterThan(0);
    }

    [Fact]
    public void A_job_or_a_house_whose_state_is_spoilt_says_so_and_all_others_are_there()
    {
        var desk = new Desk(_folder, TimeProvider.System);
        desk.CopyHouse("tern");
        desk.CopyHouse("plover");
        Sql("UPDATE revision SET state = x'0102', apart = 0 WHERE job = (SELECT id FROM job WHERE slug = 'hive')");
        Sql("UPDATE house_revision SET state = '{ \"bleed_mm\": \"wide\" }' WHERE house = 'tern-2'");

        desk = new(_folder, TimeProvider.System);
        var places = desk.Places();
        places.Count.ShouldBe(6);
        places.Single(p => p.On is null).ShouldSatisfyAllConditions(p => p.Slug.ShouldBe("hive"), p => p.Problem.ShouldContain("is damaged"));
        desk.Jobs().Count.ShouldBe(5);
        desk.AllHouses().Select(h => h.House.Id).ShouldBe(["aldwater", "plover", "tern", "plover-2"]);
        desk.HousesSpoilt().ShouldHaveSingleItem().ShouldSatisfyAllConditions(h => h.Id.ShouldBe("tern-2"), h => h.Problem.ShouldContain("bleed_mm"));
    }

    [Fact]
    public void A_face_whose_file_is_gone_keeps_no_other_job_away_and_brought_in_again_it_is_back()
    {
        var desk = new Desk(_folder, TimeProvider.System);
        var row = desk.Faces.TakeIn(Face(), "Mine.ttf");
        desk.Apply("tidewatcher", new("set-it-in-mine", "s", j => Facts.Write(j, "item/title/face", row.Id)));
        File.Delete(desk.Faces.PathOf(row.Hash));

        desk = new(_folder, TimeProvider.System);
        desk.Places().Single(p => p.On is null).ShouldSatisfyAllConditions(p => p.Slug.ShouldBe("tidewatcher"), p => p.Problem.ShouldContain(row.Id));
        desk.Faces.TakeIn(Face(), "Mine.ttf");
        desk.Places().ShouldAllBe(p => p.On != null);
    }

    [Fact]
    public void What_one_program_brings_the_others_see_at_once()
    {
        var (one, two) = (new Desk(_folder, TimeProvider.System), new Desk(_folder, TimeProvider.System));
        var row = two.Faces.TakeIn(Face(), "Mine.ttf");
        two.Apply("tidewatcher", new("set-it-in-mine", "s", j => Facts.Write(j, "item/title/face", row.Id)));
        one.Places().ShouldAllBe(p => p.On != null);
        FaceId.TryParse(row.Id, out var face).ShouldBeTrue();
        one.Job("tidewatcher").Composed.Sheets[0].Scene.Piece("title")!.Marks.OfType<GlyphMark>().ShouldContain(g => g.Face == face);
    }
}
