"""What the log says: rules and proposals, workload, trend, forecast, messages."""
