"""All sentences that come from the core, in the class's vocabulary and reading level."""
