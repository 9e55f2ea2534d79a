namespace Ullet.Core.Projects;

/// <summary>How the holes of a row lie to those of the rows beside it.</summary>
public enum RowPattern
{
    /// <summary>Every row a step farther than the last, the same after four rows: an even surface.</summary>
    FourRows,

    /// <summary>Four rows, each hole moved a little by chance.</summary>
    Random,

    /// <summary>Holes of every other row lie between those of the last.</summary>
    Brick,

    /// <summary>Every row a small step farther: fine diagonal lines.</summary>
    Twill,

    /// <summary>Holes lie in lines that turn to and fro like ploughed ground seen from the gate.</summary>
    Furrows,

    /// <summary>Holes lie in blocks like the rods of a woven fence.</summary>
    Hurdle,

    /// <summary>Holes lie in soft waves.</summary>
    Rills,
}
