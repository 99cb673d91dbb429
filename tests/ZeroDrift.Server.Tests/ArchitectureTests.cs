using System.Reflection;

namespace ZeroDrift.Server.Tests;

/// <summary>Dependencies point inwards only.</summary>
public class ArchitectureTests
{
    [Theory]
    [InlineData("ZeroDrift.Core", new[] { "ZeroDrift.Data", "ZeroDrift.Server", "Microsoft.EntityFrameworkCore", "Microsoft.AspNetCore", "Microsoft.Data.Sqlite" })]
    [InlineData("ZeroDrift.Data", new[] { "ZeroDrift.Server", "Microsoft.AspNetCore" })]
    public void A_layer_knows_nothing_of_those_outside_it(string layer, string[] outside)
    {
        var references = Assembly.Load(layer).GetReferencedAssemblies().Select(a => a.Name!).ToList();

        Assert.DoesNotContain(references, name => outside.Any(o => name.StartsWith(o, StringComparison.Ordinal)));
    }

    [Fact]
    public void Namespaces_follow_folders_in_the_core() =>
        Assert.All(Assembly.Load("ZeroDrift.Core").GetExportedTypes(), type => Assert.StartsWith("ZeroDrift.Core", type.Namespace!, StringComparison.Ordinal));
}
