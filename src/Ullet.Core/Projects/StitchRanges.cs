namespace Ullet.Core.Projects;

/// <summary>The ranges in which stitch numbers are taken from a person, mm.</summary>
public static class StitchRanges
{
    public static readonly (double Least, double Most) RunLength = (1.0, 7.0);
    public static readonly (double Least, double Most) BastingLength = (4.0, 7.0);
    public static readonly (double Least, double Most) TackInset = (0.0, 6.0);
    public static readonly (double Least, double Most) CoverWidth = (2.0, 7.0);

    /// <summary>Of a zigzag, a blanket or a decorative stitch along a line, mm.</summary>
    public static readonly (double Least, double Most) LineWidth = (1.0, 7.0);
    public static readonly (double Least, double Most) CoverSpacing = (0.30, 0.80);
    public static readonly (double Least, double Most) CoverInsideShare = (0.3, 0.9);
    public static readonly (double Least, double Most) OpenSpacing = (0.5, 8.0);
    public static readonly (double Least, double Most) UnitLength = (1.0, 20.0);
    public static readonly (double Least, double Most) BeanInset = (0.5, 8.0);
    public static readonly (double Least, double Most) CutAllowance = (-1.0, 3.0);
    public static readonly (double Least, double Most) Drift = (0.0, 0.5);
    public static readonly (double Least, double Most) FootRadius = (3.0, 15.0);
    public static readonly (double Least, double Most) PullCompensation = (0.0, 1.0);
}
