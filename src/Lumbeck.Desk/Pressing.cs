using Lumbeck.Press.Pdf;
using Lumbeck.Store;

namespace Lumbeck.Desk;

/// <summary>Whether the newest file is of what is on the bench.</summary>
public enum FileState { None, Current, Stale }

/// <summary>Making press files.</summary>
public static class Pressing
{
    /// <summary>Writes the PDF/X-4 of a revision. The same revision gives the same bytes.</summary>
    /// <param name="desk">The desk.</param>
    /// <param name="on">The revision.</param>
    /// <param name="output">Written from front to back.</param>
    /// <param name="told">Is told the share that is done, and may end the work by throwing.</param>
    /// <param name="outlines">Whether type leaves as shapes.</param>
    public static void WriteX4(this Desk desk, OnBench on, Stream output, Action<double>? told = null, bool outlines = false)
    {
        // Each page and each picture is a part of the work; which are shared is not known beforehand, so the count is the most there are.
        var parts = on.Composed.Sheets.Length + on.Composed.Sheets.Sum(s => s.Scene.Pieces.Sum(p => p.Marks.Count(m => m is PictureMark or GrownMark or TilesMark)));
        var done = 0;
        var t = on.Job.Ticket;
        var revision = desk.Store.Revision(on.Revision);
        var subject = $"{t.Binding.Word()} cover, {t.Trim.Show(t.Unit)}, spine {on.Composed.Geometry.Spine.Width.Show(t.Unit)}, {on.Composed.Geometry.Spine.Pages} pages, for {t.House.Name}";
        var note = new PressNote(t.Title, t.Author, subject, DateTimeOffset.Parse(revision.At, CultureInfo.InvariantCulture), on.JobId, on.Revision);
        PressFile.WriteX4(output, [.. on.Composed.Sheets.Select(s => s.Scene)], t.House, note, desk.Shelf, desk.Pictures, () => told?.Invoke((double)done++ / Math.Max(1, parts)), outlines);
    }

    /// <summary>Refuses what can't be pressed of a job.</summary>
    /// <exception cref="Refusal">The house takes no such file, or it can't be made yet.</exception>
    public static void RefusePress(Desk desk, OnBench on, PressKind kind)
    {
        var house = on.Job.Ticket.House;
        if (kind != PressKind.X4) throw new Refusal("kind", $"{kind.Title()} can’t be made yet: take {PressKind.X4.Word()}");
        if (!house.Kinds.Contains(kind)) throw new Refusal("kind", $"{house.Name} takes {string.Join(" or ", house.Kinds.Select(k => k.Title()))}, not {kind.Title()}");
        foreach (var sheet in on.Composed.Sheets) PressFile.RefuseFaces(sheet.Scene, desk.Shelf);
    }

    /// <summary>Presses what is on the bench and keeps the file in the register.</summary>
    /// <exception cref="Refusal">The house takes no such file.</exception>
    public static PressingRow Press(this Desk desk, string slug, PressKind kind, bool outlines = false) => desk.Press(desk.Job(slug), kind, null, outlines);

    /// <summary>Presses a revision. The file is whole or not there.</summary>
    public static PressingRow Press(this Desk desk, OnBench on, PressKind kind, Action<double>? told, bool outlines = false)
    {
        RefusePress(desk, on, kind);
        var (file, bytes) = desk.Files.Keep(s => desk.WriteX4(on, s, told, outlines));
        var name = FileName(on, kind);
        desk.Store.Write(w => { w.AddPressing(on.JobId, on.Revision, kind.Word(), on.Job.Ticket.House.Name, name, file, bytes); return 0; });
        return desk.Store.Pressings(on.JobId)[0];
    }

    /// <param name="pressings">The files of a job, the newest first.</param>
    /// <param name="revision">What is on the bench.</param>
    public static FileState State(IReadOnlyList<PressingRow> pressings, long revision) =>
        pressings.Count == 0 ? FileState.None : pressings[0].Revision == revision ? FileState.Current : FileState.Stale;

    public static string Say(this FileState state) => state switch
    {
        FileState.None => "nothing pressed yet",
        FileState.Current => "the file is up to date",
        _ => "the file is out of date",
    };

    /// <summary>“333 kB”.</summary>
    public static string Weight(this PressingRow row) => $"{(row.Bytes / 1000.0).ToString("0", CultureInfo.InvariantCulture)} kB";

    public static IReadOnlyList<PressingRow> Pressings(this Desk desk, string slug) => desk.Store.Pressings(desk.Row(slug).Id);

    /// <exception cref="Refusal">No such file was made.</exception>
    public static (PressingRow Row, Stream File) Pressed(this Desk desk, string slug, long id)
    {
        var row = desk.Store.Pressing(desk.Row(slug).Id, id) ?? throw new Refusal("file", "this file was not made here");
        return (row, desk.Files.Open(row.File));
    }

    /// <summary>The file's name after the house's pattern, in letters every disk takes.</summary>
    public static string FileName(OnBench on, PressKind kind)
    {
        var t = on.Job.Ticket;
        var g = on.Composed.Geometry;
        string mm(Core.Measures.Length l) => Math.Round(l.Millimetres, 2).ToString("0.##", CultureInfo.InvariantCulture);
        var name = t.House.FileName
            .Replace("{title}", t.Title, StringComparison.Ordinal).Replace("{author}", t.Author, StringComparison.Ordinal)
            .Replace("{isbn}", t.Isbn?.Digits ?? "no-isbn", StringComparison.Ordinal).Replace("{house}", t.House.Id, StringComparison.Ordinal)
            .Replace("{pages}", g.Spine.Pages.ToString(CultureInfo.InvariantCulture), StringComparison.Ordinal)
            .Replace("{width}", mm(g.Sheet.Size.Width), StringComparison.Ordinal).Replace("{height}", mm(g.Sheet.Size.Height), StringComparison.Ordinal)
            .Replace("{spine}", mm(g.Spine.Width), StringComparison.Ordinal).Replace("{kind}", kind.Word(), StringComparison.Ordinal);
        return Plain(name);
    }

    /// <summary>A file's name in letters every disk takes, its ending kept.</summary>
    internal static string Plain(string name)
    {
        var ending = Path.GetExtension(name);
        var plain = string.Concat(name.Where(c => c is not ('\'' or '’')).Select(c => char.IsLetterOrDigit(c) || c is '.' or '_' or '-' ? c : '-'));
        plain = string.Join('-', plain.Split('-', StringSplitOptions.RemoveEmptyEntries)).Replace("-_", "_", StringComparison.Ordinal).Trim('-', '.', '_');
        return plain.Length == 0 ? "cover" + ending : plain.Length <= 120 ? plain : plain[..(120 - ending.Length)] + ending;
    }
}
