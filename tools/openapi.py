"""Write the application's OpenAPI document, from which the front end's types are generated."""

import json
import sys
from pathlib import Path

from orthopsis.app.main import create_app
from orthopsis.app.settings import Settings

app = create_app(Settings("mariadb+pymysql://nobody@localhost/nothing"))
path = Path(sys.argv[1])
path.parent.mkdir(exist_ok=True)
path.write_text(json.dumps(app.openapi(), indent=1))
