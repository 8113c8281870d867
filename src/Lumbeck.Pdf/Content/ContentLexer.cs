using System.Buffers.Text;
using System.Text;

namespace Lumbeck.Pdf.Content;

/// <summary>What a token of a content stream is (ISO 32000-1, 7.8.2).</summary>
public enum TokenKind { Number, Name, String, Array, Dictionary, Operator, End }

/// <summary>A token as it stands there.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="From">Where it begins, in bytes.</param>
/// <param name="To">Where it ends.</param>
/// <param name="Number">Its value, of a number.</param>
public readonly record struct ContentToken(TokenKind Kind, int From, int To, double Number = 0);

/// <summary>
/// Content cut into its tokens (ISO 32000-1, 7.8.2), each by its place in the bytes: what is not changed is written as
/// it stood there.
/// </summary>
public sealed class ContentLexer(byte[] content)
{
    private int _at;

    public ReadOnlySpan<byte> Raw(ContentToken token) => content.AsSpan(token.From, token.To - token.From);

    /// <summary>A name without its slash, its numbered letters read.</summary>
    public string Name(ContentToken token)
    {
        var raw = Raw(token)[1..];
        if (raw.IndexOf((byte)'#') < 0) return Encoding.Latin1.GetString(raw);
        var s = new StringBuilder();
        for (var n = 0; n < raw.Length; n++)
            if (raw[n] == '#' && n + 2 < raw.Length && Utf8Parser.TryParse(raw.Slice(n + 1, 2), out byte b,
                out var used, 'x') && used == 2)
            {
                s.Append((char)b);
                n += 2;
            }
            else s.Append((char)raw[n]);
        return s.ToString();
    }

    public ContentToken Next(int depth = 0)
    {
        Skip();
        if (_at >= content.Length) return new(TokenKind.End, _at, _at);
        var from = _at;
        switch (content[_at])
        {
            case (byte)'/':
                for (_at++; _at < content.Length && !IsEnd(content[_at]);) _at++;
                return new(TokenKind.Name, from, _at);
            case (byte)'(':
                Text();
                return new(TokenKind.String, from, _at);
            case (byte)'<' when _at + 1 < content.Length && content[_at + 1] == '<':
                return Nested(TokenKind.Dictionary, 2, depth);
            case (byte)'<':
                while (_at < content.Length && content[_at] != '>') _at++;
                _at = Math.Min(_at + 1, content.Length);
                return new(TokenKind.String, from, _at);
            case (byte)'[':
                return Nested(TokenKind.Array, 1, depth);
            case (byte)']' or (byte)')' or (byte)'{' or (byte)'}' or (byte)'>':
                _at++;
                return Next(depth);
        }
        while (_at < content.Length && !IsEnd(content[_at])) _at++;
        var word = content.AsSpan(from, _at - from);
        var sign = word[0] is (byte)'+' or (byte)'-' ? 1 : 0;
        if (word.Length > sign && (word[sign] is >= (byte)'0' and <= (byte)'9' or (byte)'.' or (byte)'-')
            && Figure(word) is { } figure)
            return new(TokenKind.Number, from, _at, figure);
        return new(TokenKind.Operator, from, _at);
    }

    /// <summary>
    /// A number as readers take it; what is written wrong, such as <c>--5</c> or <c>1.2.3</c>, as far as it goes.
    /// </summary>
    private static double? Figure(ReadOnlySpan<byte> word)
    {
        if (Utf8Parser.TryParse(word, out double value,
            out var used) && used == word.Length && double.IsFinite(value)) return value;
        var (negative, n) = (word[0] == '-', word[0] is (byte)'+' or (byte)'-' ? 1 : 0);
        while (n < word.Length && word[n] == '-') n++;
        if (Utf8Parser.TryParse(word[n..], out value, out used) && used > 0 && double.IsFinite(value)) return negative
            ? -value : value;
        return null;
    }

    private ContentToken Nested(TokenKind kind, int open, int depth)
    {
        var from = _at;
        _at += open;
        while (true)
        {
            Skip();
            if (_at >= content.Length) break;
            if (kind == TokenKind.Array && content[_at] == ']') { _at++; break; }
            if (kind == TokenKind.Dictionary && content[_at] == '>') { _at = Math.Min(_at + 2, content.Length); break; }
            if (depth > 30) { _at = content.Length; break; }
            if (Next(depth + 1).Kind == TokenKind.End) break;
        }
        return new(kind, from, _at);
    }

    private void Text()
    {
        var depth = 0;
        for (; _at < content.Length; _at++)
        {
            var c = content[_at];
            if (c == '\\') _at++;
            else if (c == '(') depth++;
            else if (c == ')' && --depth == 0) { _at++; return; }
        }
        _at = Math.Min(_at, content.Length);
    }

    /// <summary>After <c>ID</c>: the samples of an inline image up to its <c>EI</c>.</summary>
    public ReadOnlySpan<byte> Samples(int? count)
    {
        if (_at < content.Length) _at++;
        var from = _at;
        var at = count is { } n && from + n <= content.Length ? from + n : from;
        for (; at + 1 < content.Length; at++)
            if (content[at] == 'E' && content[at + 1] == 'I' && (at == from || IsSpace(content[at - 1])
                || at == from + count)
                && (at + 2 >= content.Length || IsEnd(content[at + 2])))
            {
                _at = at + 2;
                var to = count is { } exact && from + exact <= at ? from + exact
                    : at > from && IsSpace(content[at - 1]) ? at - 1 : at;
                return content.AsSpan(from, to - from);
            }
        _at = content.Length;
        return content.AsSpan(from);
    }

    private void Skip()
    {
        for (; _at < content.Length; _at++)
        {
            if (content[_at] == '%') while (_at < content.Length
                && content[_at] is not ((byte)'\r' or (byte)'\n')) _at++;
            else if (!IsSpace(content[_at])) return;
        }
    }

    private static bool IsSpace(byte c) => c is 0 or 9 or 10 or 12 or 13 or 32;

    private static bool IsEnd(byte c) => IsSpace(c)
        || c is (byte)'(' or (byte)')' or (byte)'<' or (byte)'>' or (byte)'['
        or (byte)']' or (byte)'{' or (byte)'}' or (byte)'/' or (byte)'%';
}
