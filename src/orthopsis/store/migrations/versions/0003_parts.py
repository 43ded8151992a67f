"""Parts: some things of an exercise, kept under a name.

Revision ID: 0003
Revises: 0002
"""

import sqlalchemy as sa
from alembic import op

revision = "0003"
down_revision = "0002"
branch_labels = None
depends_on = None


def upgrade() -> None:
    """Add the table of parts."""
    op.create_table(
        "part",
        sa.Column("id", sa.Integer(), primary_key=True),
        sa.Column("owner_id", sa.Integer(), sa.ForeignKey("teacher.id", ondelete="CASCADE"), nullable=False),
        sa.Column("name", sa.String(80), nullable=False),
        sa.Column("document", sa.JSON(), nullable=False),
        sa.Column("kept_at", sa.DateTime(), nullable=False),
    )
    op.create_index(op.f("ix_part_owner_id"), "part", ["owner_id"])
