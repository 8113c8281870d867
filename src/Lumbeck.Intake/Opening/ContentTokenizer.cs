using System.Globalization;
using System.Text;

namespace Lumbeck.Intake.Opening;

/// <summary>A name in content, without its slash.</summary>
internal readonly record struct PdfName(string Value);

/// <summary>An inline image's entries and how many bytes its data has.</summary>
internal sealed record InlineImage(Dictionary<string, object?> Entries, int Bytes);

/// <summary>
/// Content as operators with their operands (ISO 32000-1, 7.8.2): numbers, names, strings, arrays, dictionaries; an
/// inline image comes as one operator, BI.
/// </summary>
internal sealed class ContentTokenizer(ReadOnlyMemory<byte> content)
{
    private const int MostOperands = 4096, MostDepth = 64;
    private int _at;

    public IEnumerable<(string Operator, List<object?> Operands)> All()
    {
        var operands = new List<object?>();
        while (Next(0) is { } token)
        {
            if (token is not Op op)
            {
                if (operands.Count < MostOperands) operands.Add(token is Null ? null : token);
                continue;
            }
            if (op.Name == "BI") { yield return ("BI", [Inline()]); operands.Clear(); continue; }
            yield return (op.Name, operands);
            operands = [];
        }
    }

    private sealed record Op(string Name);
    private sealed record Null;

    private ReadOnlySpan<byte> S => content.Span;

    private object? Next(int depth)
    {
        if (depth > MostDepth) return null;
        Skip();
        if (_at >= content.Length) return null;
        var c = S[_at];
        switch (c)
        {
            case (byte)'/': _at++; return new PdfName(Name());
            case (byte)'(': return Text();
            case (byte)'<' when _at + 1 < content.Length && S[_at + 1] == '<': _at += 2; return Dictionary(depth);
            case (byte)'<': return Hex();
            case (byte)'[': _at++; return Array(depth);
            case (byte)']' or (byte)'>' or (byte)'}' or (byte)'{' or (byte)')': _at++; return Next(depth + 1);
        }
        var from = _at;
        while (_at < content.Length && !IsEnd(S[_at])) _at++;
        if (_at == from) { _at++; return Next(depth + 1); }
        var word = Encoding.Latin1.GetString(S[from.._at]);
        if (c is (>= (byte)'0' and <= (byte)'9') or (byte)'+' or (byte)'-' or (byte)'.')
            return double.TryParse(word, NumberStyles.Float, CultureInfo.InvariantCulture, out var n) ? n : 0.0;
        return word switch { "true" => true, "false" => false, "null" => new Null(), _ => new Op(word) };
    }

    private Dictionary<string, object?> Dictionary(int depth)
    {
        var d = new Dictionary<string, object?>(StringComparer.Ordinal);
        while (_at < content.Length)
        {
            Skip();
            if (_at + 1 < content.Length && S[_at] == '>' && S[_at + 1] == '>') { _at += 2; break; }
            if (Next(depth + 1) is not PdfName key) { if (_at >= content.Length) break; continue; }
            d[key.Value] = Next(depth + 1);
        }
        return d;
    }

    private List<object?> Array(int depth)
    {
        var a = new List<object?>();
        while (_at < content.Length)
        {
            Skip();
            if (_at < content.Length && S[_at] == ']') { _at++; break; }
            var before = _at;
            if (Next(depth + 1) is { } item && a.Count < MostOperands) a.Add(item);
            if (_at == before) _at++;
        }
        return a;
    }

    /// <summary>After BI: entries up to ID, then data up to an EI that stands alone (8.9.7).</summary>
    private InlineImage Inline()
    {
        var d = new Dictionary<string, object?>(StringComparer.Ordinal);
        for (; ; )
        {
            var key = Next(0);
            if (key is null || key is Op { Name: "ID" }) break;
            if (key is PdfName name) d[name.Value] = Next(0);
        }
        var from = ++_at;
        while (_at + 2 < content.Length
            && !(IsSpace(S[_at - 1]) && S[_at] == 'E' && S[_at + 1] == 'I'
                && (_at + 2 >= content.Length || IsSpace(S[_at + 2]))))
            _at++;
        var bytes = Math.Max(0, _at - from - 1);
        _at = Math.Min(content.Length, _at + 2);
        return new(d, bytes);
    }

    private string Name()
    {
        var s = new StringBuilder();
        while (_at < content.Length && !IsEnd(S[_at]))
        {
            if (S[_at] == '#' && _at + 2 < content.Length
                && int.TryParse(Encoding.Latin1.GetString(S.Slice(_at + 1, 2)), NumberStyles.HexNumber,
                    CultureInfo.InvariantCulture, out var code))
            {
                s.Append((char)code);
                _at += 3;
            }
            else s.Append((char)S[_at++]);
        }
        return s.ToString();
    }

    private byte[] Text()
    {
        var (open, from) = (0, _at);
        for (; _at < content.Length; _at++)
        {
            if (S[_at] == '\\') _at++;
            else if (S[_at] == '(') open++;
            else if (S[_at] == ')' && --open == 0) { _at++; break; }
        }
        _at = Math.Min(_at, content.Length);
        return S[from.._at].ToArray();
    }

    private byte[] Hex()
    {
        var from = ++_at;
        while (_at < content.Length && S[_at] != '>') _at++;
        var text = S[from..Math.Min(_at, content.Length)].ToArray();
        _at = Math.Min(_at + 1, content.Length);
        return text;
    }

    private void Skip()
    {
        while (_at < content.Length)
        {
            if (IsSpace(S[_at])) _at++;
            else if (S[_at] == '%') while (_at < content.Length && S[_at] is not ((byte)'\n' or (byte)'\r')) _at++;
            else break;
        }
    }

    private static bool IsSpace(byte b) => b is 0 or 9 or 10 or 12 or 13 or 32;
    private static bool IsEnd(byte b) => IsSpace(b)
        || b is (byte)'(' or (byte)')' or (byte)'<' or (byte)'>' or (byte)'[' or (byte)']'
        or (byte)'{' or (byte)'}' or (byte)'/' or (byte)'%';
}
