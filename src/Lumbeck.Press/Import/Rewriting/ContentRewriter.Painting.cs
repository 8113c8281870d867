using Lumbeck.Press.Import.Parsing;
using Lumbeck.Press.Pdf;

namespace Lumbeck.Press.Import.Rewriting;

/// <summary>What is painted, in which colours, and what overprints.</summary>
internal sealed partial class ContentRewriter
{
    private void Fill(ColorSpace space, double[]? at)
    {
        _now = _now with { Fill = space, FillAt = at ?? space.Initial, Unread = _now.Unread with { Fill = null } };
        if (!_plain && space is not PatternColorSpace) Put(_has.Said(space, _now.FillAt, fill: true, Used));
        Settle(changed: true);
    }

    private void Line(ColorSpace space, double[]? at)
    {
        _now = _now with { Line = space, LineAt = at ?? space.Initial, Unread = _now.Unread with { Line = null } };
        if (!_plain && space is not PatternColorSpace) Put(_has.Said(space, _now.LineAt, fill: false, Used));
        Settle(changed: true);
    }

    /// <summary>
    /// Overprint acts on what was inks from the start: what becomes inks here knocks out, as it did. White that
    /// overprints is not seen at all, which nobody means.
    /// </summary>
    private void Settle(bool changed)
    {
        if (_plain) return;
        var multiplied = false;
        bool over(bool on, ColorSpace space, double[] at)
        {
            if (!on) return false;
            // A spot that overprints is mixed with what lies under it: as process inks it would hide that.
            if (space is SeparationOrDeviceN { IsSpot: true } spot)
            {
                if (_has.How.Spots.Contains(spot.Names[0])) return true;
                multiplied |= !_now.Mixes.Own;
                if (changed && !_now.Mixes.Own) { _has.Report.Multiplied++; return false; }
            }
            if (!(space.IsInk || space is PatternColorSpace)
                || (space is CmykColorSpace && _has.Inks.Changes(CmykColorSpace.Shares(at))))
            {
                if (changed) _has.Report.Overprints++;
                return false;
            }
            if (!(space is CmykColorSpace && _now.Over.Nothing && at.All(v => v == 0))) return true;
            if (changed) _has.Report.WhiteOver++;
            return !_has.How.WhiteKnocks;
        }
        var wanted = (over(_now.Over.Line, _now.Line, _now.LineAt), over(_now.Over.Fill, _now.Fill, _now.FillAt));
        if (multiplied != _now.Mixes.Here)
        {
            _now = _now with { Mixes = (_now.Mixes.Own, multiplied) };
            Put($"/{Used.Mixed(_has, multiplied)} gs\n");
            if (multiplied) _has.Report.Transparent = true;
        }
        if (wanted == _now.Set) return;
        _now = _now with { Set = wanted };
        Put($"/{Used.Over(_has, wanted.Item1, wanted.Item2)} gs\n");
    }

    /// <summary>A path filled, drawn or both.</summary>
    private void Paint(string word)
    {
        if (Hidden) { Put("n\n"); return; }
        var (fills, lines) = (word is not ("S" or "s"), word is not ("f" or "F" or "f*"));
        if ((_now.Unread.Settings ?? (fills ? _now.Unread.Fill : null) ?? (lines ? _now.Unread.Line : null)) is { } why)
        {
            Put("n\n");
            Alone(why);
            return;
        }
        var least = _has.LeastLine / Math.Sqrt(Math.Max(1e-12,
            Math.Abs((_now.Place.A * _now.Place.D) - (_now.Place.B * _now.Place.C))));
        var thin = lines && _now.Width < least * 0.99;
        if (thin) _has.Report.Hairlines++;
        var raised = thin && _has.How.Thickens;
        if (raised) Put($"{PdfSyntax.Figure(least)} w\n");
        Same(word);
        if (raised) Put($"{PdfSyntax.Figure(_now.Width)} w\n");
    }

    /// <summary>What can't be read is painted by itself, where it is painted.</summary>
    /// <exception cref="Refusal">It can't.</exception>
    private void Unread(string word, string why)
    {
        var u = _now.Unread;
        switch (word)
        {
            case "cs" or "sc" or "scn": _now = _now with { Unread = u with { Fill = why } }; break;
            case "CS" or "SC" or "SCN": _now = _now with { Unread = u with { Line = why } }; break;
            case "Tf": _now = _now with { Unread = u with { Face = why } }; break;
            case "gs": _now = _now with { Unread = u with { Settings = why } }; break;
            case "Do" or "sh" or "BI": if (!Hidden) Alone(why); break;
            default: throw new Refusal("file", why);
        }
    }

    private void Alone(string why)
    {
        if (_alone is null || _alone.Add(_word, why) is not { } picture) return;
        var drawn = $"q {PdfSyntax.Matrix(_now.Place.Inverse())} cm {_alone.Placed} cm " +
            $"/{Used.Add("ExtGState", _alone.Plainly)} gs " +
            $"/{Used.Add("XObject", picture)} Do Q\n";
        if (_inText) _waiting += drawn;
        else Put(drawn);
    }

    private void Words(string word)
    {
        if (word is "'" or "\"") _adrift = false;
        if (Hidden) { if (word is "'" or "\"") Put("T*\n"); return; }
        var why = _now.Unread.Face ?? _now.Unread.Settings ?? _now.Unread.Fill;
        if (why is not null || _adrift)
        {
            // Where its letters end nobody knows: what follows them on the line is drawn with them.
            if (_now.Mode > 3) throw new Refusal("file", why ?? "words that clip can’t be read");
            if (word is "'" or "\"") Put("T*\n");
            Alone(why ?? "it follows words that can’t be read");
            _adrift = true;
            return;
        }
        // Words in a black of several inks are hard to keep sharp: black alone is what was meant.
        var rich = !_plain && _now.Mode is 0 or 2 or 4 or 6 && _now.Fill is CmykColorSpace
            && _has.IsRichBlack(_now.FillAt);
        if (rich) { Put("0 0 0 1 k\n"); _has.Report.RichWords++; }
        Same(word);
        if (rich) Put(_has.Said(_now.Fill, _now.FillAt, fill: true, Used));
    }
}
