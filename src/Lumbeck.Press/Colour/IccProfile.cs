using System.Buffers.Binary;
using System.Text;

namespace Lumbeck.Press.Colour;

/// <summary>
/// What a colour profile says of itself (ISO 15076-1, 7.2 and 9.2): its class, its colour space, and its description.
/// </summary>
public sealed record IccProfile(string Class, string Space, string Description, bool BothWays)
{
    /// <summary>Largest profile taken, in bytes.</summary>
    public const int MostBytes = 10_000_000;

    /// <summary>
    /// Reads a profile's header and names; null where the bytes are none: too short, without its signature, or of a
    /// length that is not their own.
    /// </summary>
    public static IccProfile? Read(ReadOnlySpan<byte> bytes)
    {
        if (bytes.Length < 132 || bytes.Length > MostBytes || !bytes[36..40].SequenceEqual("acsp"u8)) return null;
        if (BinaryPrimitives.ReadUInt32BigEndian(bytes) != bytes.Length) return null;
        var count = BinaryPrimitives.ReadUInt32BigEndian(bytes[128..]);
        if (count > 200 || 132 + (count * 12) > bytes.Length) return null;
        var (description, tags) = ("", new HashSet<string>());
        for (var i = 0; i < count; i++)
        {
            var entry = bytes[(132 + (i * 12))..];
            var (at, length) = (BinaryPrimitives.ReadUInt32BigEndian(entry[4..]),
                BinaryPrimitives.ReadUInt32BigEndian(entry[8..]));
            if (at > bytes.Length || length > bytes.Length - at) return null;
            var tag = Four(entry);
            tags.Add(tag);
            if (tag == "desc") description = Text(bytes.Slice((int)at, (int)length));
        }
        return new(Four(bytes[12..]), Four(bytes[16..]).TrimEnd(), description,
            tags.Contains("A2B0") && tags.Contains("B2A0"));
    }

    private static string Four(ReadOnlySpan<byte> at) => Encoding.ASCII.GetString(at[..4]);

    /// <summary>A description of either version: one ASCII text, or the first of several in UTF-16.</summary>
    private static string Text(ReadOnlySpan<byte> tag)
    {
        if (tag.Length < 16) return "";
        string text;
        if (tag.StartsWith("desc"u8))
            text = Encoding.ASCII.GetString(tag.Slice(12,
                (int)Math.Min(BinaryPrimitives.ReadUInt32BigEndian(tag[8..]), (uint)tag.Length - 12)));
        else if (tag.StartsWith("mluc"u8) && tag.Length >= 28)
        {
            var (length, at) = (BinaryPrimitives.ReadUInt32BigEndian(tag[20..]),
                BinaryPrimitives.ReadUInt32BigEndian(tag[24..]));
            text = at <= tag.Length && length <= tag.Length - at
                ? Encoding.BigEndianUnicode.GetString(tag.Slice((int)at, (int)length))
                : "";
        }
        else return "";
        text = string.Concat(text.Where(c => !char.IsControl(c))).Trim();
        return text.Length <= 80 ? text : text[..80];
    }
}
