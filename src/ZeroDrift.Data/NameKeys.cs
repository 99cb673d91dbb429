using System.Globalization;
using System.Text;

namespace ZeroDrift.Data;

/// <summary>
/// The key by which two spellings are one name: case, compatibility forms, zero-width characters, marks of direction and doubled spaces make no
/// difference.
/// </summary>
public static class NameKeys
{
    public static string Of(string name)
    {
        var text = new StringBuilder(name.Length);
        foreach (var rune in Clean(name).Normalize(NormalizationForm.FormKC).EnumerateRunes()) text.Append(Rune.ToLowerInvariant(rune).ToString());
        return Clean(text.ToString()).ToLowerInvariant().Normalize(NormalizationForm.FormKC);
    }

    /// <summary>The name as it is kept: no control or zero-width characters, single spaces, composed letters.</summary>
    public static string Clean(string name)
    {
        var text = new StringBuilder(name.Length);
        foreach (var rune in name.Normalize(NormalizationForm.FormC).EnumerateRunes())
        {
            var kind = Rune.GetUnicodeCategory(rune);
            if (kind is UnicodeCategory.Format or UnicodeCategory.Surrogate or UnicodeCategory.PrivateUse or UnicodeCategory.OtherNotAssigned) continue;
            if (kind is UnicodeCategory.Control or UnicodeCategory.SpaceSeparator or UnicodeCategory.LineSeparator or UnicodeCategory.ParagraphSeparator)
            {
                if (text.Length > 0 && text[^1] != ' ') text.Append(' ');
            }
            else
            {
                text.Append(rune.ToString());
            }
        }
        return text.ToString().Trim();
    }
}
