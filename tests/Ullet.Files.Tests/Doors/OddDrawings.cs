using System.Text;

namespace Ullet.Doors;

/// <summary>Small files with everything that the readers know.</summary>
internal static class OddDrawings
{
    internal static IEnumerable<(string Name, byte[] Bytes)> All()
    {
        const string Svg = """
            <svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="120mm" height="90mm" viewBox="0 0 480 360">
            <style>.leaf { fill: #3a7; fill-rule: evenodd } #root { visibility: visible } path { stroke: red }</style>
            <defs><symbol id="s" viewBox="0 0 10 10"><circle cx="5" cy="5" r="4"/></symbol><g id="g1"><rect x="1" y="2" width="30" height="20" rx="3"/></g></defs>
            <g id="root" transform="translate(10 12) rotate(15) scale(1.5)"><use href="#s" x="20" y="30" width="40" height="40"/><use xlink:href="#g1"/>
            <path class="leaf" d="M10 10 C 20 0 60 0 80 30 S 60 90 40 80 Q 10 70 10 10 Z M30 30 h10 v10 h-10 z"/>
            <polygon points="100,100 140,100 150,140 90,150"/><polyline points="0 0 10 10 20 0"/><line x1="5" y1="6" x2="70" y2="80"/>
            <ellipse cx="200" cy="90" rx="40" ry="20"/><path d="M200 200 A 30 20 30 1 1 240 260 T 300 280 L 310 210 z"/><text>Plot 14</text></g></svg>
            """;
        yield return ("own.svg", Encoding.UTF8.GetBytes(Svg));
        const string Dxf =
            "0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n4\n0\nENDSEC\n0\nSECTION\n2\nBLOCKS\n0\nBLOCK\n2\nA\n10\n0\n20\n0\n0\nCIRCLE\n8\n0\n10\n5\n20\n5\n40\n4\n0\nENDBLK\n0\nENDSEC\n"
            + "0\nSECTION\n2\nENTITIES\n0\nLINE\n8\n0\n10\n0\n20\n0\n11\n50\n21\n20\n0\nLWPOLYLINE\n8\nL\n90\n4\n70\n1\n10\n0\n20\n0\n42\n0.4\n10\n40\n20\n0\n10\n40\n20\n30\n10\n0\n20\n30\n"
            + "0\nARC\n8\n0\n10\n20\n20\n20\n40\n10\n50\n30\n51\n200\n0\nELLIPSE\n8\n0\n10\n50\n20\n50\n11\n20\n21\n5\n40\n0.5\n41\n0\n42\n6.2831853\n"
            + "0\nSPLINE\n8\n0\n71\n3\n72\n8\n73\n4\n40\n0\n40\n0\n40\n0\n40\n0\n40\n1\n40\n1\n40\n1\n40\n1\n10\n0\n20\n0\n10\n10\n20\n30\n10\n30\n20\n30\n10\n40\n20\n0\n"
            + "0\nINSERT\n8\n0\n2\nA\n10\n60\n20\n60\n41\n2\n42\n2\n50\n30\n70\n3\n71\n2\n44\n12\n45\n14\n0\nPOLYLINE\n8\n0\n70\n1\n0\nVERTEX\n10\n1\n20\n1\n0\nVERTEX\n10\n9\n20\n1\n0\nVERTEX\n10\n5\n20\n9\n0\nSEQEND\n0\nENDSEC\n0\nEOF\n";
        yield return ("own.dxf", Encoding.UTF8.GetBytes(Dxf));
        using var bitmap = new SkiaSharp.SKBitmap(64, 48);
        bitmap.Erase(SkiaSharp.SKColors.Olive);
        using var jpeg = bitmap.Encode(SkiaSharp.SKEncodedImageFormat.Jpeg, 80);
        yield return ("own.jpg", jpeg.ToArray());
    }
}
