using System.Collections.Immutable;
using Ullet.Core.Documents;
using Ullet.Core.Edits;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Documents;

public sealed class AdmissionTests
{
    private static readonly Project Heart = SampleProject.With(new HeartShape());

    private static Element Only(Project project) => project.Elements[0];

    public static TheoryData<string, string> Broken =>
        new()
        {
            { "a polygon of no sides", "number-out-of-range" },
            { "a star of two thousand million points", "number-out-of-range" },
            { "a hole of no width", "number-out-of-range" },
            { "a colour that is none", "colour-broken" },
            { "a name of megabytes", "name-too-long" },
            { "a thousand and one elements", "too-many" },
            { "three hundred and one hand steps", "too-many" },
            { "a piece wider than a metre", "number-out-of-range" },
            { "a piece two metres away and more", "number-out-of-range" },
            { "the same id twice", "project-broken" },
            { "an id with a dot", "project-broken" },
            { "a cloth that is not there", "project-broken" },
            { "a drawing without curves", "project-broken" },
            { "a line sewn a thousand times", "number-out-of-range" },
        };

    [Theory]
    [MemberData(nameof(Broken))]
    public void NewDocument_ThatBreaksALimit_IsRefusedWithItsSentence(string what, string code)
    {
        var refusal = Admission.Of(null, Made(what)).Refusal;
        Assert.Equal(code, refusal?.Code);
        Assert.EndsWith(".", refusal!.Words, StringComparison.Ordinal);
        Assert.DoesNotContain("Ullet.Core", refusal.Words, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("a piece wider than a metre")]
    [InlineData("a thousand and one elements")]
    [InlineData("a name of megabytes")]
    public void Limit_ThatWasPassedBefore_MayBePassedOnButNoFarther(string what)
    {
        var before = Made(what);
        var renamed = before with { Title = "Another" };
        Assert.True(Admission.Of(before, renamed).IsOk);
        var worse = what.Contains("elements", StringComparison.Ordinal)
            ? before with
            {
                Elements = before.Elements.Add(Only(Heart) with { Id = "e5000" }),
            }
            : before.With(Only(before) with { Box = Only(before).Box with { Width = 3000 } });
        Assert.False(Admission.Of(before, worse).IsOk);
    }

    [Fact]
    public void Admitted_TextsAreClean()
    {
        var typed = Heart with { Title = "Plot\u202814" };
        typed = typed.With(Only(typed) with { Name = "beet\tleaf" });
        var admitted = Admission.Of(null, typed).Value;
        Assert.Equal(("Plot 14", "beet leaf"), (admitted.Title, Only(admitted).Name));
    }

    [Fact]
    public void CleanDocument_IsAdmittedAsItIs() => Assert.Equal(Heart, Admission.Of(null, Heart).Value);

    [Fact]
    public void StoredDocument_IsOpened_WhatNothingCanBeMadeOfBroughtBack()
    {
        var wild = Made("a star of two thousand million points");
        wild = wild with { Cloths = [wild.Cloths[0] with { Colour = "red;" }, .. wild.Cloths.Skip(1)], NextNumber = 0 };
        var read = DocumentReader.Stored(ProjectJson.Write(wild)).Value;
        Assert.Equal(new StarShape(24, 0.45), Only(read).Form.ShapeOf());
        Assert.Equal("#808080", read.Cloths[0].Colour);
        Assert.True(read.NextNumber > 1);
        Assert.Equal(2, read.Mended.Length);
        var findings = SampleProject.Evaluate(read).Findings;
        Assert.Equal(2, findings.Count(finding => finding.Code == "mended"));
    }

    [Fact]
    public void StoredDocument_OverALimit_IsOpenedWithAFinding()
    {
        var wide = Made("a piece wider than a metre");
        var read = DocumentReader.Stored(ProjectJson.Write(wide)).Value;
        Assert.Equal(1300, Only(read).Box.Width);
        Assert.Contains(SampleProject.Evaluate(read).Findings, finding => finding.Code == "over-limit");
        Assert.False(DocumentReader.Brought(ProjectJson.Write(wide)).IsOk);
    }

    [Fact]
    public void Freezing_WiderThanAMetre_IsRefusedBeforeItIsSaved()
    {
        var project = Heart;
        foreach (
            var operation in new Operation[]
            {
                new Mirror { Distance = 900 },
                new MoveEdge { Distance = 5 },
            }
        )
        {
            project = SampleProject.Apply(project, new AddOperation { ElementId = "e1", Operation = operation });
        }
        var frozen = new FreezeElement { ElementId = "e1" }.Apply(project, SampleProject.Context);
        var admitted = frozen.Then(after => Admission.Of(project, after));
        Assert.Equal("number-out-of-range", admitted.Refusal?.Code);
    }

    private static Project Made(string what)
    {
        var piece = Only(Heart);
        Project With(Element changed) => Heart.With(changed);
        return what switch
        {
            "a polygon of no sides" => With(piece with { Form = new ShapeForm(new PolygonShape(0)) }),
            "a star of two thousand million points" => With(
                piece with
                {
                    Form = new ShapeForm(new StarShape(2_000_000_000)),
                }
            ),
            "a hole of no width" => With(
                piece with
                {
                    Form = piece.Form.WithHoles([new PieceHole(new EllipseShape(), 0, 0, 0, 5)]),
                }
            ),
            "a colour that is none" => Heart with
            {
                Cloths = [Heart.Cloths[0] with { Colour = "red;background:url(x)" }, .. Heart.Cloths.Skip(1)],
            },
            "a name of megabytes" => With(piece with { Name = new string('x', 2_000_000) }),
            "a thousand and one elements" => Heart with
            {
                Elements = [.. Enumerable.Range(1, 1001).Select(i => piece with { Id = $"e{i}" })],
            },
            "three hundred and one hand steps" => Heart with
            {
                RunSheet = Heart.RunSheet with
                {
                    Hands =
                    [
                        .. Enumerable.Range(0, 301).Select(i => new UserHandStep($"u{i}", HandKind.FreeText, "Look")),
                    ],
                },
            },
            "a piece wider than a metre" => With(piece with { Box = piece.Box with { Width = 1300 } }),
            "a piece two metres away and more" => With(piece with { Box = piece.Box with { X = 2004 } }),
            "the same id twice" => Heart with { Elements = [piece, piece] },
            "an id with a dot" => Heart with { Elements = [piece with { Id = "e.1" }] },
            "a cloth that is not there" => With(piece with { Making = new ClothMaking { ClothId = "silk" } }),
            "a drawing without curves" => With(
                piece with
                {
                    Form = new DrawingForm(new DrawnShape([new DrawnLine(0, 0, [])])),
                }
            ),
            "a line sewn a thousand times" => Heart with
            {
                Elements =
                [
                    new Element
                    {
                        Id = "e1",
                        Name = "seam",
                        Box = new ElementBox(0, 0, 10, 10, 0),
                        Form = new DrawingForm(new DrawnShape(0, 0, [new DrawnCurve(0, 0, 1, 1, 1, 1)])),
                        Making = new LineMaking { Stitching = new LineSettings { Passes = 1000 } },
                    },
                ],
            },
            _ => throw new ArgumentException(what, nameof(what)),
        };
    }
}
