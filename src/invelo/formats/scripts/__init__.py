"""What `./invelo` commands read and write for scripts."""
