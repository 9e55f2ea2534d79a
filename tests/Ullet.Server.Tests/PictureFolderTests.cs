using Ullet.Server.Pictures;

namespace Ullet.Server.Tests;

/// <summary>Pictures beside the database: kept whole, cleared of what is needless, never a fault.</summary>
public sealed class PictureFolderTests : IDisposable
{
    private readonly string _folder = Path.Combine(
        Directory.CreateTempSubdirectory("ullet-pictures-").FullName,
        "pictures"
    );

    private PictureFolder Pictures => new(_folder);

    public void Dispose() => Directory.Delete(Path.GetDirectoryName(_folder)!, recursive: true);

    [Fact]
    public void APicture_IsFoundByItsProjectAndState_AndNoOther()
    {
        Assert.Null(Pictures.Find("a", 1));
        Assert.False(Pictures.Has("a", 1));
        Assert.True(Keep("a", 1, 7));
        Assert.True(Keep("a", 12, 9));
        Assert.Equal([7], Pictures.Find("a", 1));
        Assert.Equal([9], Pictures.Find("a", 12));
        Assert.True(Pictures.Has("a", 12));
        Assert.Null(Pictures.Find("a", 2));
        Assert.Null(Pictures.Find("b", 1));
    }

    [Fact]
    public void AnotherPictureOfTheSameState_TakesItsPlace_AndNothingUnfinishedStays()
    {
        Keep("a", 1, 7);
        Keep("a", 1, 8);
        Assert.Equal([8], Pictures.Find("a", 1));
        Assert.Equal(["a-1.png"], Files());
    }

    [Fact]
    public void WhatANewHeadMakesNeedless_Goes_OtherProjectsStay()
    {
        Keep("a", 1, 1);
        Keep("ab", 1, 2);
        var pictures = Pictures;
        Assert.True(pictures.Keep("a", 2, [3], () => pictures.KeepOnly("a", 2)));
        Assert.Equal(["a-2.png", "ab-1.png"], Files());
    }

    [Fact]
    public void OfProjectsThatAreGone_AndOfAKilledServer_NothingStays()
    {
        Keep("a", 1, 1);
        Keep("b", 1, 2);
        Keep("b", 2, 2);
        File.WriteAllBytes(Path.Combine(_folder, "a-3.png.0123.part"), [1]);
        Pictures.KeepOnly(new HashSet<string> { "a" });
        Assert.Equal(["a-1.png"], Files());
        Pictures.KeepOnly(new HashSet<string>());
        Assert.Empty(Files());
    }

    [Fact]
    public void BeforeTheFirstPicture_ThereIsNothingToTakeAway()
    {
        Pictures.KeepOnly(new HashSet<string> { "a" });
        Assert.False(Directory.Exists(_folder));
    }

    [Theory]
    [InlineData(5, 0)]
    [InlineData(6, 3)]
    [InlineData(9, 6)]
    public void TheOldest_GoWhenThereAreTooMany_SeveralAtOnce(int made, int gone)
    {
        for (var i = 1; i <= made; i++)
        {
            Keep("a", i, (byte)i);
            File.SetLastWriteTimeUtc(
                Path.Combine(_folder, $"a-{i}.png"),
                new DateTime(2026, 5, 1, 0, i, 0, DateTimeKind.Utc)
            );
        }
        Pictures.Clear(most: 5, atOnce: 2);
        Assert.Equal(Enumerable.Range(gone + 1, made - gone).Select(i => $"a-{i}.png"), Files());
    }

    [Fact]
    public void WhereNothingCanBeWritten_ItIsNotKept_AndNobodyFails()
    {
        File.WriteAllText(_folder, "a file where the folder should be");
        Assert.False(Keep("a", 1, 1));
        Assert.Null(Pictures.Find("a", 1));
        File.Delete(_folder);
    }

    private bool Keep(string project, long revision, byte content) =>
        Pictures.Keep(project, revision, [content], () => { });

    private string[] Files() =>
        [.. Directory.EnumerateFiles(_folder).Select(file => Path.GetFileName(file)).Order(StringComparer.Ordinal)];
}
