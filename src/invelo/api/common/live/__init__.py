"""What is told as it happens: streams, sockets and the devices behind them."""
