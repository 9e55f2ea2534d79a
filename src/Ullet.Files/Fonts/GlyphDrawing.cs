using System.Collections.Immutable;
using System.Runtime.InteropServices;
using HarfBuzzSharp;
using Ullet.Core.Geometry;

namespace Ullet.Files.Fonts;

/// <summary>Glyph outlines as HarfBuzz draws them: the font's own points, in font units.</summary>
/// <remarks>SkiaSharp's glyph paths lie on a grid of 1/4096 of the em, which is 0.02 mm at a cap height of 60 mm; HarfBuzz's
/// lie on none. Its package has no managed name for this part of its interface (hb-draw), so it is called here.</remarks>
internal static partial class GlyphDrawing
{
    private const string Library = "libHarfBuzzSharp";

    // The native side keeps these for as long as the process runs.
    private static readonly PointTo MoveTo = static (_, data, _, x, y, _) => Pen(data).MoveTo(x, y);
    private static readonly PointTo LineTo = static (_, data, _, x, y, _) => Pen(data).LineTo(x, y);
    private static readonly QuadraticTo Quadratic = static (_, data, _, cx, cy, x, y, _) =>
        Pen(data).QuadraticTo(cx, cy, x, y);
    private static readonly CubicTo Cubic = static (_, data, _, ax, ay, bx, by, x, y, _) =>
        Pen(data).CubicTo(ax, ay, bx, by, x, y);
    private static readonly Close ClosePath = static (_, data, _, _) => Pen(data).Close();

    private static readonly IntPtr Functions = Make();

    private delegate void PointTo(IntPtr functions, IntPtr data, IntPtr state, float x, float y, IntPtr user);

    private delegate void QuadraticTo(
        IntPtr functions,
        IntPtr data,
        IntPtr state,
        float controlX,
        float controlY,
        float x,
        float y,
        IntPtr user
    );

    private delegate void CubicTo(
        IntPtr functions,
        IntPtr data,
        IntPtr state,
        float firstX,
        float firstY,
        float secondX,
        float secondY,
        float x,
        float y,
        IntPtr user
    );

    private delegate void Close(IntPtr functions, IntPtr data, IntPtr state, IntPtr user);

    /// <summary>The glyph's closed lines in font units, y down; none for a space.</summary>
    internal static ImmutableArray<Contour> Contours(Font font, int glyph)
    {
        var pen = new Recorder();
        var handle = GCHandle.Alloc(pen);
        try
        {
            hb_font_draw_glyph(font.Handle, (uint)glyph, Functions, GCHandle.ToIntPtr(handle));
        }
        finally
        {
            handle.Free();
        }
        return pen.Contours;
    }

    private static IntPtr Make()
    {
        var functions = hb_draw_funcs_create();
        hb_draw_funcs_set_move_to_func(functions, Marshal.GetFunctionPointerForDelegate(MoveTo), 0, 0);
        hb_draw_funcs_set_line_to_func(functions, Marshal.GetFunctionPointerForDelegate(LineTo), 0, 0);
        hb_draw_funcs_set_quadratic_to_func(functions, Marshal.GetFunctionPointerForDelegate(Quadratic), 0, 0);
        hb_draw_funcs_set_cubic_to_func(functions, Marshal.GetFunctionPointerForDelegate(Cubic), 0, 0);
        hb_draw_funcs_set_close_path_func(functions, Marshal.GetFunctionPointerForDelegate(ClosePath), 0, 0);
        return functions;
    }

    private static Recorder Pen(IntPtr data) => (Recorder)GCHandle.FromIntPtr(data).Target!;

    [LibraryImport(Library)]
    private static partial void hb_font_draw_glyph(IntPtr font, uint glyph, IntPtr functions, IntPtr data);

    [LibraryImport(Library)]
    private static partial IntPtr hb_draw_funcs_create();

    [LibraryImport(Library)]
    private static partial void hb_draw_funcs_set_move_to_func(
        IntPtr functions,
        IntPtr call,
        IntPtr user,
        IntPtr destroy
    );

    [LibraryImport(Library)]
    private static partial void hb_draw_funcs_set_line_to_func(
        IntPtr functions,
        IntPtr call,
        IntPtr user,
        IntPtr destroy
    );

    [LibraryImport(Library)]
    private static partial void hb_draw_funcs_set_quadratic_to_func(
        IntPtr functions,
        IntPtr call,
        IntPtr user,
        IntPtr destroy
    );

    [LibraryImport(Library)]
    private static partial void hb_draw_funcs_set_cubic_to_func(
        IntPtr functions,
        IntPtr call,
        IntPtr user,
        IntPtr destroy
    );

    [LibraryImport(Library)]
    private static partial void hb_draw_funcs_set_close_path_func(
        IntPtr functions,
        IntPtr call,
        IntPtr user,
        IntPtr destroy
    );

    /// <summary>Takes down what is drawn, y turned down.</summary>
    private sealed class Recorder
    {
        private readonly ImmutableArray<Contour>.Builder _contours = ImmutableArray.CreateBuilder<Contour>();
        private readonly List<Curve> _curves = [];
        private Point _start;
        private Point _at;

        internal ImmutableArray<Contour> Contours => _contours.ToImmutable();

        internal void MoveTo(float x, float y) => _start = _at = new Point(x, -y);

        internal void LineTo(float x, float y)
        {
            var end = new Point(x, -y);
            if (end != _at)
            {
                _curves.Add(Curve.Line(_at, end));
            }
            _at = end;
        }

        internal void QuadraticTo(float controlX, float controlY, float x, float y)
        {
            var (control, end) = (new Point(controlX, -controlY), new Point(x, -y));
            _curves.Add(Curve.Cubic(_at, Point.Lerp(_at, control, 2.0 / 3), Point.Lerp(end, control, 2.0 / 3), end));
            _at = end;
        }

        internal void CubicTo(float firstX, float firstY, float secondX, float secondY, float x, float y)
        {
            var end = new Point(x, -y);
            _curves.Add(Curve.Cubic(_at, new Point(firstX, -firstY), new Point(secondX, -secondY), end));
            _at = end;
        }

        internal void Close()
        {
            if (_curves.Count > 0 && _at != _start)
            {
                _curves.Add(Curve.Line(_at, _start));
            }
            if (_curves.Count > 0)
            {
                _contours.Add(new Contour([.. _curves]));
            }
            _curves.Clear();
        }
    }
}
