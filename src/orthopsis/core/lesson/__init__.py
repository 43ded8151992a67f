"""Minutes, what to set next. Splitting into periods is not known yet."""
