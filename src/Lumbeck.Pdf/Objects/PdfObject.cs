using System.Diagnostics.CodeAnalysis;
using System.Text;

namespace Lumbeck.Pdf.Objects;

/// <summary>
/// An object of a PDF (ISO 32000-2, 7.3). A name stands where a string does: nearly every word of a dictionary is
/// one; a text is made by <see cref="PdfString"/>.
/// </summary>
public abstract class PdfObject
{
    private protected PdfObject() { }

    [return: NotNullIfNotNull(nameof(name))]
    public static implicit operator PdfObject?(string? name) => name is null ? null : new PdfName(name);
    public static implicit operator PdfObject(double value) => new PdfNumber(value);
    public static implicit operator PdfObject(bool value) => value ? PdfBoolean.True : PdfBoolean.False;
}

/// <summary>The null object (7.3.9).</summary>
public sealed class PdfNull : PdfObject
{
    private PdfNull() { }
    public static PdfNull Value { get; } = new();
}

/// <summary>True or false (7.3.2).</summary>
public sealed class PdfBoolean : PdfObject
{
    private PdfBoolean(bool value) => Value = value;
    public bool Value { get; }
    public static PdfBoolean True { get; } = new(true);
    public static PdfBoolean False { get; } = new(false);
}

/// <summary>An integer or a real number (7.3.3).</summary>
/// <param name="value">Finite.</param>
/// <param name="places">Most places after the point that it is written with, 0 to 12.</param>
public sealed class PdfNumber(double value, int places = 4) : PdfObject
{
    public double Value => value;
    public int Places => places;
}

/// <summary>A string of bytes (7.3.4).</summary>
/// <param name="bytes">Its bytes.</param>
/// <param name="hex">Whether it is written in hexadecimal.</param>
public sealed class PdfString(byte[] bytes, bool hex) : PdfObject
{
    public byte[] Bytes => bytes;
    public bool IsHex => hex;

    /// <summary>A text string (7.9.2.2): ASCII letters as they are, anything else in UTF-16 with its mark.</summary>
    public static PdfString Text(string text) => text.All(c => c is >= ' ' and < '\u007f')
        ? new(Encoding.ASCII.GetBytes(text), hex: false)
        : new([0xFE, 0xFF, .. Encoding.BigEndianUnicode.GetBytes(text)], hex: true);

    /// <summary>A date (7.9.4), in UTC.</summary>
    public static PdfString Date(DateTimeOffset at) =>
        Text("D:" + at.UtcDateTime.ToString("yyyyMMddHHmmss", CultureInfo.InvariantCulture) + "Z");

    public static PdfString Hex(byte[] bytes) => new(bytes, hex: true);

    /// <summary>Its bytes as a text string is read: UTF-16 where its mark says so, Latin letters otherwise.</summary>
    public string AsText() => bytes is [0xFE, 0xFF, ..] ? Encoding.BigEndianUnicode.GetString(bytes.AsSpan(2))
        : Encoding.Latin1.GetString(bytes);
}

/// <summary>A name (7.3.5), without its slash and with its numbered letters read.</summary>
/// <param name="value">What it says.</param>
public sealed class PdfName(string value) : PdfObject
{
    public string Value => value;
}

/// <summary>A reference to an indirect object (7.3.10).</summary>
/// <param name="number">The object's number, from 1.</param>
/// <param name="generation">Its generation; 0 in what is written here.</param>
public sealed class PdfRef(int number, int generation = 0) : PdfObject, IEquatable<PdfRef>
{
    public int Number => number;
    public int Generation => generation;

    public bool Equals(PdfRef? other) => other is not null && other.Number == number && other.Generation == generation;
    public override bool Equals(object? obj) => Equals(obj as PdfRef);
    public override int GetHashCode() => HashCode.Combine(number, generation);
    public override string ToString() => string.Create(CultureInfo.InvariantCulture, $"{number} {generation} R");
}
