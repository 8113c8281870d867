using Lumbeck.Pdf.Colours;
using Lumbeck.Pdf.Content;
using Lumbeck.Pdf.Reading;
using Lumbeck.Press.Import.Parsing;

namespace Lumbeck.Press.Import.Rewriting;

/// <summary>What is painted, in which colours, and what overprints.</summary>
internal sealed partial class ContentRewriter
{
    private void Fill()
    {
        _set = _set with { Unread = _set.Unread with { Fill = null } };
        if (!_plain && _now.FillColorSpace is not PatternColorSpace)
            _has.Colour(_to, _now.FillColorSpace, _now.FillColor, fill: true, Used);
        Settle(changed: true);
    }

    private void Stroke()
    {
        _set = _set with { Unread = _set.Unread with { Stroke = null } };
        if (!_plain && _now.StrokeColorSpace is not PatternColorSpace)
            _has.Colour(_to, _now.StrokeColorSpace, _now.StrokeColor, fill: false, Used);
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
        // The file mixes what is painted by a rule of its own.
        var mixes = _now.BlendMode is not ("Normal" or "Compatible");
        bool over(bool on, ColorSpace space, double[] at)
        {
            if (!on) return false;
            // A spot that overprints is mixed with what lies under it: as process inks it would hide that.
            if (space is SeparationOrDeviceN { IsSpot: true } spot)
            {
                if (_has.How.Spots.Contains(spot.Names[0])) return true;
                multiplied |= !mixes;
                if (changed && !mixes) { _has.Report.Multiplied++; return false; }
            }
            if (!(space.IsInk() || space is PatternColorSpace)
                || (space is CmykColorSpace && _has.Inks.Changes(InkConversion.Shares(at))))
            {
                if (changed) _has.Report.Overprints++;
                return false;
            }
            if (!(space is CmykColorSpace && _now.OverprintMode == 1 && at.All(v => v == 0))) return true;
            if (changed) _has.Report.WhiteOver++;
            return !_has.How.WhiteKnocks;
        }
        var wanted = (over(_now.OverprintStroke, _now.StrokeColorSpace, _now.StrokeColor),
            over(_now.OverprintFill, _now.FillColorSpace, _now.FillColor));
        if (multiplied != _set.Multiplied)
        {
            _set = _set with { Multiplied = multiplied };
            _to.State(Used.Mixed(_has, multiplied)).Break();
            if (multiplied) _has.Report.Transparent = true;
        }
        if (wanted == _set.Over) return;
        _set = _set with { Over = wanted };
        _to.State(Used.Over(_has, wanted.Item1, wanted.Item2)).Break();
    }

    /// <summary>A path filled, drawn or both.</summary>
    private void Paint(Operation o)
    {
        if (Hidden) { _to.Op(Operator.EndPath).Break(); return; }
        var unread = _set.Unread;
        if ((unread.Settings ?? (o.Op.Fills() ? unread.Fill : null) ?? (o.Op.Strokes() ? unread.Stroke : null)) is { } why)
        {
            _to.Op(Operator.EndPath).Break();
            Alone(o, why);
            return;
        }
        var least = _has.LeastLine / Math.Sqrt(Math.Max(1e-12, Math.Abs(_now.Ctm.Determinant)));
        // What had no width was written as the least.
        var width = _now.LineWidth == 0 ? _has.LeastLine : _now.LineWidth;
        var thin = o.Op.Strokes() && width < least * 0.99;
        if (thin) _has.Report.Hairlines++;
        var raised = thin && _has.How.Thickens;
        if (raised) _to.Op(Operator.LineWidth, least).Break();
        _to.Same(o);
        if (raised) _to.Op(Operator.LineWidth, width).Break();
    }

    /// <summary>What can't be read is painted by itself, where it is painted.</summary>
    public bool Unreadable(Operation o, GraphicsState now, string why)
    {
        if (_alone is null) return false;
        _now = now;
        var u = _set.Unread;
        switch (o.Op)
        {
            case Operator.FillColorSpace or Operator.FillColor or Operator.FillColorN:
                _set = _set with { Unread = u with { Fill = why } };
                return true;
            case Operator.StrokeColorSpace or Operator.StrokeColor or Operator.StrokeColorN:
                _set = _set with { Unread = u with { Stroke = why } };
                return true;
            case Operator.Font: _set = _set with { Unread = u with { Face = why } }; return true;
            case Operator.GraphicsStateParameters: _set = _set with { Unread = u with { Settings = why } }; return true;
            case Operator.XObject or Operator.Shading or Operator.BeginInlineImage:
                if (!Hidden) Alone(o, why);
                return true;
            default: return false;
        }
    }

    /// <exception cref="PdfReadException">There is too much of it.</exception>
    private void Alone(Operation o, string why)
    {
        if (_alone is null || _alone.Add(o.Index, why) is not { } picture) return;
        var to = _inText ? _waiting ??= new() : _to;
        to.Save().Concat(_now.Ctm.Inverse()).Concat(_alone.Placed)
            .State(Used.Add("ExtGState", _alone.Plainly)).XObject(Used.Add("XObject", picture)).Restore().Break();
    }

    private void Words(Operation o)
    {
        var nextLine = o.Op is Operator.NextLineShowText or Operator.NextLineShowTextSpaced;
        if (nextLine) _adrift = false;
        if (Hidden) { if (nextLine) _to.Op(Operator.NextLine).Break(); return; }
        var why = _set.Unread.Face ?? _set.Unread.Settings ?? _set.Unread.Fill;
        if (why is not null || _adrift)
        {
            // Where its letters end nobody knows: what follows them on the line is drawn with them.
            if (_now.Text.Clips) throw new PdfReadException(why ?? "words that clip can’t be read");
            if (nextLine) _to.Op(Operator.NextLine).Break();
            Alone(o, why ?? "it follows words that can’t be read");
            _adrift = true;
            return;
        }
        // Words in a black of several inks are hard to keep sharp: black alone is what was meant.
        var rich = !_plain && _now.Text.Fills && _now.FillColorSpace is CmykColorSpace
            && _has.Colours.IsRichBlack(_now.FillColor);
        if (rich) { _to.Op(Operator.FillCmyk, 0, 0, 0, 1).Break(); _has.Report.RichWords++; }
        _to.Same(o);
        if (rich) _has.Colour(_to, _now.FillColorSpace, _now.FillColor, fill: true, Used);
    }
}
