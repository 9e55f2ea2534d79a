using System.Collections.Immutable;
using System.Text;
using System.Xml.Linq;
using UglyToad.PdfPig;
using Ullet.Core.Booklets;
using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Moments;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Moments;
using Ullet.Files.Booklets;
using Ullet.Files.Moments;
using Ullet.Files.Pictures;

namespace Ullet.Files.Tests.Booklets;

public sealed class BookletTests
{
    private static readonly HankenMeasure Measure = new();

    public static TheoryData<string> Titles => DemoWork.Titles;

    [Theory]
    [MemberData(nameof(Titles))]
    public void TheDrawingsOfADemo_ShowWhatItsRunSheetSays(string title) =>
        Assert.Empty(MomentLaws.Breaches(DemoWork.All[title]));

    [Theory]
    [MemberData(nameof(Titles))]
    public void OnThePagesOfBookletAndCard_NoTextLiesOverAnother(string title)
    {
        foreach (var stop in CardStops.Of(DemoWork.All[title]))
        {
            foreach (
                var (width, height, type) in new[]
                {
                    (507.0, 236.0, 11.4),
                    (524, 104, 9),
                    (360, 380, 14),
                    (640, 330, 15),
                }
            )
            {
                var wrong = MomentLaws.LabelBreaches(
                    MomentSheet.Of(stop.Moment, width, height, type, Measure),
                    Measure
                );
                Assert.True(wrong.Count == 0, $"{stop.First.Key}: {string.Join("; ", wrong)}");
            }
        }
    }

    [Theory]
    [MemberData(nameof(Titles))]
    public void TheText_IsReadInItsOrder_FromPagesThatAreSmall(string title)
    {
        var evaluated = DemoWork.All[title];
        var booklet = BookletMaker.Of(evaluated);
        var pdf = BookletPdf.Of(evaluated, BookletPaper.A4, BookletType.Large);
        using var read = PdfDocument.Open(pdf);
        var text = Plain(string.Concat(read.GetPages().Select(page => page.Text)));
        var at = 0;
        foreach (var step in booklet.Chapters.SelectMany(chapter => chapter.Steps))
        {
            var found = text.IndexOf(Plain(step.Sentence), at, StringComparison.Ordinal);
            Assert.True(found >= at, $"{step.Number}. {step.Sentence}");
            at = found;
        }
        Assert.All(booklet.Cuts, row => Assert.Contains(Plain(row.Name), text, StringComparison.Ordinal));
        Assert.All(booklet.Care, said => Assert.Contains(Plain(said), text, StringComparison.Ordinal));
        Assert.Contains(evaluated.Program.Code, text, StringComparison.Ordinal);
        Assert.All(read.GetPages(), page => Assert.Equal((595, 842), ((int)page.Width, (int)page.Height)));
        Assert.All(
            read.GetPages().SelectMany(page => page.Letters).Select(letter => letter.FontName).Distinct(),
            font => Assert.Contains("HankenGrotesk", font, StringComparison.Ordinal)
        );
        // Each page has its number, and nothing is larger than it may be.
        var number = 0;
        Assert.All(
            read.GetPages(),
            page => Assert.EndsWith($"{++number}", page.Text.TrimEnd(), StringComparison.Ordinal)
        );
        Assert.True(pdf.Length < 4_000_000);
        var picture = ProjectPicture.Png(evaluated, 1600).Length;
        Assert.True(
            pdf.Length / read.NumberOfPages <= 0.5 * picture,
            $"{pdf.Length / read.NumberOfPages} of {picture}"
        );
    }

    [Fact]
    public void LetterAndCompactType_TakeOtherPages_AndFewer()
    {
        var large = BookletPdf.Of(DemoWork.Patch, BookletPaper.Letter, BookletType.Large);
        var compact = BookletPdf.Of(DemoWork.Patch, BookletPaper.Letter, BookletType.Compact);
        using var one = PdfDocument.Open(large);
        using var other = PdfDocument.Open(compact);
        Assert.Equal((612, 792), ((int)one.GetPage(1).Width, (int)one.GetPage(1).Height));
        Assert.True(other.NumberOfPages < one.NumberOfPages);
    }

    [Theory]
    [MemberData(nameof(Titles))]
    public void TheSameBooklet_IsAWellFormedPage(string title)
    {
        var evaluated = DemoWork.All[title];
        var page = BookletHtml.Of(evaluated, "/picture.png", "n");
        var read = XDocument.Parse(page[page.IndexOf("<html", StringComparison.Ordinal)..]);
        XNamespace html = "http://www.w3.org/1999/xhtml";
        var steps = BookletMaker.Of(evaluated).Chapters.SelectMany(chapter => chapter.Steps).ToList();
        Assert.Equal(
            steps.Select(step => $"{step.Number}. {step.Sentence}"),
            read.Descendants(html + "h3").Select(heading => heading.Value)
        );
        XNamespace svg = "http://www.w3.org/2000/svg";
        var drawings = read.Descendants(svg + "svg").Where(each => (string?)each.Attribute("role") == "img").ToList();
        Assert.Equal(steps.Count, drawings.Count);
        Assert.All(drawings, each => Assert.True(((string)each.Attribute("aria-label")!).Length > 10));
    }

    [Fact]
    public void NamesOf200Characters_AndNoSteps_AreSetAllTheSame()
    {
        var patch = DemoWork.Patch.Project;
        var longer = patch with
        {
            Title = new string('W', 200),
            Elements = [.. patch.Elements.Select(element => element with { Name = new string('M', 200) })],
        };
        var evaluated = DemoWork.Context.Evaluator.Evaluate(longer);
        using (var read = PdfDocument.Open(BookletPdf.Of(evaluated, BookletPaper.A4, BookletType.Large)))
        {
            Assert.All(
                read.GetPages().SelectMany(page => page.Letters),
                letter => Assert.InRange(letter.BoundingBox.Right, 0, 595)
            );
        }
        Assert.All(
            CardStops.Of(evaluated),
            stop => Assert.Empty(MomentLaws.LabelBreaches(MomentSheet.Of(stop.Moment, 360, 380, 14, Measure), Measure))
        );
        var empty = DemoWork.Context.Evaluator.Evaluate(patch with { Elements = [], Pattern = null });
        using var none = PdfDocument.Open(BookletPdf.Of(empty, BookletPaper.A4, BookletType.Compact));
        Assert.True(none.NumberOfPages >= 1);
    }

    [Fact]
    public void StitchFile_AndBooklet_BearTheCodeOfTheState_AndAnotherStateHasAnother()
    {
        var evaluated = DemoWork.Patch;
        var file = Encoding.UTF8.GetString(
            Ullet.Files.StitchFiles.StitchFormats.Make(Ullet.Files.StitchFiles.StitchFormats.List, evaluated.Program)
        );
        Assert.Contains($"\n# state {evaluated.Program.Code}\n", file, StringComparison.Ordinal);
        Assert.Equal(evaluated.Program.Code, BookletMaker.Of(evaluated).Code);
        Assert.Matches("^[2-9A-Z]{5}$", evaluated.Program.Code);
        var step = evaluated.RunSheet.Steps[0].Key.ToString();
        var noted = DemoWork.With(evaluated.Project, new NoteStep { StepKey = step, Note = "dotted side up" });
        Assert.NotEqual(evaluated.Program.Code, noted.Program.Code);
        Assert.Contains(BookletMaker.Of(noted).Chapters[^1].Steps, told => told.Note == "dotted side up");
    }

    [Fact]
    public void CutFilm_HasItsWeeding_WithOrWithoutABox()
    {
        var project = DemoWork.Patch.Project;
        var sheet = DemoWork.Patch.Sheets.First(each => !each.Setup.IsByHand);
        var mirrored = DemoWork.With(project, new MirrorCloth { ClothId = sheet.Cloth.Id, Lies = Lying.FilmDown });
        Assert.Empty(BookletMaker.Of(DemoWork.Patch).Film);
        Assert.Contains(
            BookletMaker.Of(mirrored).Film,
            said => said.StartsWith("Weed from the outside in", StringComparison.Ordinal)
        );
        var boxed = DemoWork.With(
            mirrored.Project,
            new SetSheet
            {
                ClothId = sheet.Cloth.Id,
                Marks = new CutMarks { WeedingBox = true },
            }
        );
        Assert.Contains(BookletMaker.Of(boxed).Film, said => said.Contains("weeding box", StringComparison.Ordinal));
        var page = Ullet.Files.CutFiles.CutPage.Of("x", boxed.Sheets.First(each => each.Cloth.Id == sheet.Cloth.Id));
        Assert.Equal("weeding box", page.Paths[^1].Name);
    }

    [Fact]
    public void APhotoBesideAStep_IsInTheBooklet_SmallEnough()
    {
        var (evaluated, hash) = (DemoWork.Patch, new string('a', 64));
        var step = evaluated.RunSheet.Steps[0].Key.ToString();
        var with = DemoWork.With(evaluated.Project, new PhotoStep { StepKey = step, Picture = hash });
        var photos = new Dictionary<string, byte[]> { [hash] = ProjectPicture.Png(evaluated, 3000) };
        using var read = PdfDocument.Open(BookletPdf.Of(with, BookletPaper.A4, BookletType.Large, photos));
        using var plain = PdfDocument.Open(BookletPdf.Of(evaluated, BookletPaper.A4, BookletType.Large));
        static int Images(PdfDocument document) => document.GetPages().Sum(page => page.GetImages().Count());
        Assert.Equal(Images(plain) + 1, Images(read));
        Assert.All(
            read.GetPages().SelectMany(page => page.GetImages()),
            image => Assert.True(image.WidthInSamples <= 1000)
        );
        Assert.Contains($"/api/assets/{hash}", BookletHtml.Of(with, "/picture.png", "n"), StringComparison.Ordinal);
        var refused = new PhotoStep { StepKey = step, Picture = "../x" }.Apply(evaluated.Project, DemoWork.Context);
        Assert.Equal("picture-unknown", refused.Refusal?.Code);
    }

    [Fact]
    public void A400StepProject_HasItsBookletAndCard()
    {
        var patch = DemoWork.Patch.Project;
        var hands = Enumerable
            .Range(0, 400)
            .Select(i => new UserHandStep($"h{900 + i}", HandKind.FreeText, $"Look at row {i} of the allotment."))
            .ToImmutableArray();
        var many = DemoWork.Context.Evaluator.Evaluate(patch with { RunSheet = patch.RunSheet with { Hands = hands } });
        var stops = CardStops.Of(many);
        Assert.True(stops.Length >= 400, $"{stops.Length} stops");
        using var read = PdfDocument.Open(BookletPdf.Of(many, BookletPaper.A4, BookletType.Compact));
        Assert.Contains(
            "Lookatrow399oftheallotment",
            Plain(string.Concat(read.GetPages().Select(page => page.Text))),
            StringComparison.Ordinal
        );
    }

    /// <summary>Without blanks: readers put them where lines end, or not.</summary>
    private static string Plain(string text) => new([.. text.Where(c => !char.IsWhiteSpace(c))]);
}
