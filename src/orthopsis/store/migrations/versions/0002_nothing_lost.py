"""Names told apart by their accents, what was removed can be had back, lessons with an hour, pictures kept.

Revision ID: 0002
Revises: 0001
"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects import mysql

revision = "0002"
down_revision = "0001"
branch_labels = None
depends_on = None

EXACT = "utf8mb4_bin"
BLOB = sa.LargeBinary().with_variant(mysql.LONGBLOB(), "mariadb").with_variant(mysql.LONGBLOB(), "mysql")


def upgrade() -> None:
    """Carry the tables over."""
    _into_unicode()
    op.alter_column(
        "teacher", "login", existing_type=sa.String(80), type_=sa.String(80, collation=EXACT), existing_nullable=False
    )
    op.alter_column(
        "student", "alias", existing_type=sa.String(40), type_=sa.String(40, collation=EXACT), existing_nullable=False
    )
    op.create_table(
        "known_browser",
        sa.Column("token_hash", sa.String(64), primary_key=True),
        sa.Column("teacher_id", sa.Integer(), sa.ForeignKey("teacher.id", ondelete="CASCADE"), nullable=False),
        sa.Column("seen_at", sa.DateTime(), nullable=False),
    )
    op.create_index(op.f("ix_known_browser_teacher_id"), "known_browser", ["teacher_id"])
    op.create_table(
        "wrong_try",
        sa.Column("id", sa.Integer(), primary_key=True),
        sa.Column("whose", sa.String(64), nullable=False),
        sa.Column("at", sa.DateTime(), nullable=False),
    )
    op.create_index(op.f("ix_wrong_try_whose"), "wrong_try", ["whose"])
    op.create_table("once", sa.Column("name", sa.String(40), primary_key=True))
    op.execute("INSERT INTO once (name) SELECT 'first account' FROM teacher WHERE is_first LIMIT 1")
    op.create_table(
        "exercise_picture",
        sa.Column("exercise_id", sa.Integer(), sa.ForeignKey("exercise.id", ondelete="CASCADE"), primary_key=True),
        sa.Column("made", sa.String(40), nullable=False),
        sa.Column("svg", BLOB, nullable=False),
    )
    op.add_column("exercise", sa.Column("last_save", sa.String(40), nullable=False, server_default=""))
    op.add_column("lesson", sa.Column("at_time", sa.Time(), nullable=True))
    op.add_column("lesson", sa.Column("materials", sa.String(400), nullable=False, server_default=""))
    op.add_column("lesson", sa.Column("removed_at", sa.DateTime(), nullable=True))
    op.add_column("sheet", sa.Column("found_corners", sa.JSON(), nullable=True))
    op.add_column("sheet", sa.Column("removed_at", sa.DateTime(), nullable=True))
    op.add_column("sheet", sa.Column("own_note", sa.Boolean(), nullable=False, server_default=sa.false()))
    _piles_outlive_exercises()


def _into_unicode() -> None:
    """Carry tables over that a database of another character set was given: it would refuse names."""
    tables = op.get_bind().execute(
        sa.text(
            "SELECT table_name FROM information_schema.tables "
            "WHERE table_schema = DATABASE() AND table_type = 'BASE TABLE' AND table_collation NOT LIKE 'utf8mb4%'"
        )
    )
    database = op.get_bind().execute(sa.text("SELECT DATABASE()")).scalar_one()
    for (table,) in tables.all():
        op.execute(f"ALTER TABLE `{table}` CONVERT TO CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_520_ci")
    # MariaDB has made room for wider characters; the columns are declared as they were.
    op.execute("ALTER TABLE sheet MODIFY note TEXT NOT NULL, MODIFY remark TEXT NOT NULL")
    op.execute(f"ALTER DATABASE `{database}` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_520_ci")


def _piles_outlive_exercises() -> None:
    (old,) = (
        key["name"]
        for key in sa.inspect(op.get_bind()).get_foreign_keys("pile")
        if key["constrained_columns"] == ["exercise_id"]
    )
    op.drop_constraint(str(old), "pile", type_="foreignkey")
    op.alter_column("pile", "exercise_id", existing_type=sa.Integer(), nullable=True)
    op.create_foreign_key(None, "pile", "exercise", ["exercise_id"], ["id"], ondelete="SET NULL")
