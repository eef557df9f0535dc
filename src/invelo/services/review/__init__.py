"""Proposals made and applied, reviews of a week, trends and outlook."""
