using Ullet.Core.Edits;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Projects;

public sealed class HoopTests
{
    [Theory]
    [InlineData(130, 180, "5 × 7")]
    [InlineData(180, 130, "7 × 5")]
    [InlineData(240, 150, null)]
    public void Hoops_AreCalledInInches_AsTheirOwnersCallThem(double width, double height, string? called) =>
        Assert.Equal(called, Hoop.Sized(width, height).Inches);

    [Fact]
    public void Turned_TheHoopTakesItsMiddleAndMarginsAlong_AndIsItselfAgainAfterFour()
    {
        var hoop = new Hoop("Rowan's", 240, 150)
        {
            MiddleX = 4,
            MiddleY = -3,
            MarginAcross = 6,
        };
        var turned = hoop.Turned();
        Assert.Equal(
            (150, 240, 3, 4, 0, 6),
            (
                turned.FieldWidth,
                turned.FieldHeight,
                turned.MiddleX,
                turned.MiddleY,
                turned.MarginAcross,
                turned.MarginDown
            )
        );
        Assert.Equal(hoop, turned.Turned().Turned().Turned());
    }

    [Theory]
    [InlineData(5, 150, "fieldWidth")]
    [InlineData(240, 5000, "fieldHeight")]
    [InlineData(double.NaN, 150, "fieldWidth")]
    public void AFieldThatNoHoopHas_IsRefused(double width, double height, string place)
    {
        var refused = new SetHooping { FieldWidth = width, FieldHeight = height }.Apply(
            SampleProject.Empty(),
            SampleProject.Context
        );
        Assert.Equal(place, refused.Refusal?.Place);
    }

    [Fact]
    public void Centred_MeansTheHoopsOwnMiddle()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new HeartShape()),
            SetHooping.To(new Hoop("Rowan's", 240, 150) { MiddleX = 4, MiddleY = -3 }),
            new CentreElements { ElementIds = ["e1"] }
        );
        var middle = SampleProject.Context.Evaluator.OutlineOf(project.Find("e1")!).Bounds().Centre;
        Assert.Equal((4, -3), (Math.Round(middle.X, 6), Math.Round(middle.Y, 6)));
    }

    [Theory]
    [InlineData("12.7 mm wide", "0.50 in wide")]
    [InlineData("98.4 × 64.0 mm, and 0.05 mm more", "3.87 × 2.52 in, and 0.002 in more")]
    [InlineData("from 3 to 15 mm", "from 0.12 to 0.59 in")]
    [InlineData("under 20 mm² or 2 mm", "under 0.031 sq in or 0.079 in")]
    [InlineData("60 mm/s and Plot 14mm", "60 mm/s and Plot 14mm")]
    [InlineData("between −500 and 600 mm", "between −19.69 and 23.62 in")]
    public void Sentences_AreToldInInches(string mm, string inches)
    {
        Assert.Equal(inches, LengthWords.In(mm, LengthUnit.Inch));
        Assert.Equal(mm, LengthWords.In(mm, LengthUnit.Millimetre));
    }

    [Theory]
    [InlineData(25.4, "1 in")]
    [InlineData(34.0, "1 5/16 in")]
    [InlineData(35.0, "1 3/8 in")]
    [InlineData(0.4, "1/16 in")]
    public void Sixteenths_AreTheNearest(double mm, string text) => Assert.Equal(text, LengthText.Sixteenths(mm));
}
