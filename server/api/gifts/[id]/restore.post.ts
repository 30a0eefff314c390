export default giftRoutes.restore()
