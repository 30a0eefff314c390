export default giftRoutes.get()
