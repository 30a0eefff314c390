export default giftRoutes.list()
