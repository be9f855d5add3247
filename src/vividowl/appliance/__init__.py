"""What runs on the machine: the private database server, set-up and the web server."""
