"""The HTTP service: one router per place of the application, over the store's acts."""
