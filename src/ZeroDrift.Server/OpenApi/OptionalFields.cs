using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;
using ZeroDrift.Contract.Visits;

namespace ZeroDrift.Server.OpenApi;

/// <summary>
/// In what comes in, a field that may be null may be left out; the generated document would call it required. In what goes out, a field that cannot
/// be null is always there: in answers, and in the type of a context, which a server alone writes.
/// </summary>
internal static class OptionalFields
{
    public static Task Apply(OpenApiSchema schema, OpenApiSchemaTransformerContext context, CancellationToken cancellationToken)
    {
        var name = context.JsonTypeInfo.Type.Name;
        if (name.EndsWith("Response", StringComparison.Ordinal) || name == nameof(ContextTypeRecord))
        {
            foreach (var property in context.JsonTypeInfo.Properties.Where(p => schema.Properties?.ContainsKey(p.Name) == true))
                if (property.PropertyType.IsValueType ? Nullable.GetUnderlyingType(property.PropertyType) is null : !property.IsGetNullable) (schema.Required ??= new HashSet<string>()).Add(property.Name);
            return Task.CompletedTask;
        }
        if (schema.Required is null || !(name.EndsWith("Request", StringComparison.Ordinal) || name.EndsWith("Dto", StringComparison.Ordinal) || name.EndsWith("Settings", StringComparison.Ordinal))) return Task.CompletedTask;
        foreach (var property in context.JsonTypeInfo.Properties)
            if (property.IsSetNullable || property.AssociatedParameter?.IsNullable == true || Nullable.GetUnderlyingType(property.PropertyType) is not null) schema.Required.Remove(property.Name);
        return Task.CompletedTask;
    }
}
