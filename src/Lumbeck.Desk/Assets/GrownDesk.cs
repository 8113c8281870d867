using System.Collections.Concurrent;
using System.Security.Cryptography;
using System.Text;
using Lumbeck.Press.Growing;

namespace Lumbeck.Desk.Assets;

/// <summary>
/// Pictures grown beyond their edges: made once for each recipe, first as a preview, then at press resolution, and
/// kept.
/// </summary>
public sealed class GrownDesk(PictureDesk pictures, string folder)
{
    private readonly ConcurrentDictionary<string, Lock> _locks = new();

    /// <summary>The recipe, the size and the algorithm's version in one name.</summary>
    public static string Key(Grown how, int wide) =>
        string.Create(CultureInfo.InvariantCulture,
            $"{Convert.ToHexStringLower(SHA256.HashData(Encoding.ASCII.GetBytes(how.Recipe)))[..32]}-{wide}-{Grower.Version}");

    /// <summary>Whether it is there at press resolution.</summary>
    public bool Has(GrownMark mark) => File.Exists(Full(mark.How, mark.Wide));

    /// <summary>Its file, fine enough for so many pixels across; made where it is not there.</summary>
    public string PathOf(GrownMark mark, int wide)
    {
        var full = Full(mark.How, mark.Wide);
        return File.Exists(full) || wide > Grower.PreviewWide
            ? Make(mark.How, mark.Wide, preview: false, null, default)
            : Preview(mark.How, mark.Wide);
    }

    /// <summary>A preview of it; made where it is not there.</summary>
    public string Preview(Grown how, int wide) =>
        File.Exists(Full(how, wide)) ? Full(how, wide) : Make(how, wide, preview: true, null, default);

    /// <summary>
    /// How unlike synthesis's squares are to what they stand for, in levels; null where it has not been made.
    /// </summary>
    public double? Difference(GrownMark mark)
    {
        foreach (var file in (string[])[Full(mark.How, mark.Wide), Small(mark.How, mark.Wide)])
            if (File.Exists(file + ".txt")
                && double.TryParse(File.ReadAllText(file + ".txt"), CultureInfo.InvariantCulture, out var d))
                return d;
        return null;
    }

    /// <summary>Makes it, unless it is there; one at a time of each.</summary>
    public string Make(Grown how, int wide, bool preview, Action<double>? told, CancellationToken cancel)
    {
        var file = preview ? Small(how, wide) : Full(how, wide);
        lock (_locks.GetOrAdd(file, _ => new()))
        {
            if (File.Exists(file)) return file;
            Directory.CreateDirectory(folder);
            var aside = Path.Combine(folder, Guid.NewGuid().ToString("n"));
            try
            {
                var made = Grower.Make(pictures.PathOf(how.Hash), how, wide, preview, aside, told, cancel);
                File.WriteAllText(file + ".txt", made.Difference.ToString("0.##", CultureInfo.InvariantCulture));
                File.Move(aside, file, overwrite: true);
            }
            finally { File.Delete(aside); }
            return file;
        }
    }

    private string Full(Grown how, int wide) => Path.Combine(folder, Key(how, wide) + ".jpg");
    private string Small(Grown how, int wide) => Path.Combine(folder, Key(how, wide) + "-preview.jpg");
}
