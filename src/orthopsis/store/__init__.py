"""What is kept: models, migrations, repositories, the private database server, backup and restore."""
